import { car } from '../../../fixtures/car';
import { checksOnRecord } from '../../record';
import { driveRun } from '../../../physics/motion/run';
import { worked } from '../../../worked/worked';
import type { MeasuredBalance } from '../../../car/records/benchReport';
import type { RunRecord } from '../../../car/records/records';

const run = (id: string, balance: MeasuredBalance): RunRecord => ({
  id,
  revisionId: 'a',
  kind: 'balance',
  attempts: [],
  conditions: {},
  ranAt: `2026-05-0${id}T10:00:00.000Z`,
  document: car,
  report: { balance },
});
const checked = (runs: RunRecord[]) =>
  checksOnRecord({
    document: car,
    revisionId: 'a',
    revisions: [],
    runs,
    failures: [],
    prints: [],
    copies: [],
  }).find(({ id }) => id === 'bench.balance');

/** Amplitudes of an imbalance at 0° with a trial weight of 50 g·mm at three places, a tenth a g·mm. */
const shaking = (gmm: number, more: Partial<MeasuredBalance> = {}): MeasuredBalance => ({
  amplitude: gmm / 10,
  trialMassG: 2,
  trialRadiusMm: 25,
  massG: 52,
  rpm: 2000,
  runs: [0, 120, 240].map((angleDeg) => ({
    id: `at-${angleDeg}`,
    angleDeg,
    amplitude:
      Math.hypot(gmm + 50 * Math.cos((angleDeg * Math.PI) / 180), 50 * Math.sin((angleDeg * Math.PI) / 180)) /
      10,
  })),
  ...more,
});

describe('bench.balance', () => {
  it('is not there without a wheel that was balanced', () => expect(checked([])).toBeUndefined());

  it('holds what is left against grade 16 at the top speed: e·ω ≤ 16 mm/s', () => {
    const input = worked(car, car.brief.surfaces[0]!).runInput();
    if (!input.ok) throw new Error('no run');
    const omega = driveRun(input.value).topSpeedMps! / (input.value.tyre.radiusMm / 1000);
    const allowed = (16 / omega) * 52;
    const found = checked([run('1', shaking(40, { wheel: 'rearLeft', amplitudeAfter: 0.3 }))])!;
    expect(found.value).toBeCloseTo(3, 6);
    expect(found.limit! / allowed).toBeCloseTo(1, 3);
    expect(found.margin).toBeCloseTo(found.limit! / 3, 6);
    expect(found.finding).toMatchObject({ facts: { wheel: 'rearLeft', corrected: true } });
  });

  it('goes by the last balance of each wheel, and by the worst wheel', () => {
    const found = checked([
      run('1', shaking(40, { wheel: 'rearLeft' })),
      run('2', shaking(40, { wheel: 'rearLeft', amplitudeAfter: 0.1 })),
      run('3', shaking(20, { wheel: 'frontLeft' })),
    ])!;
    expect(found.value).toBeCloseTo(20, 6);
    expect(found.state).toBe('over');
    expect(found.finding).toMatchObject({ facts: { wheel: 'frontLeft', corrected: false } });
  });
});

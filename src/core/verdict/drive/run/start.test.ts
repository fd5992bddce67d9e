import { applyPatch } from '../../../base/patch';
import type { BuildDocument } from '../../../car/document/document';
import type { RunRecord } from '../../../car/records/records';
import type { MeasuredFriction } from '../../../car/records/report';
import { car } from '../../../fixtures/car';
import { frictionOf } from '../../../worked/transmissions/frictionOfBuild';
import { checksOnRecord } from '../../record';

const run = (friction: MeasuredFriction | undefined, revisionId = 'r'): RunRecord =>
  ({
    id: 'f',
    revisionId,
    kind: 'friction',
    ranAt: '2026-05-01T10:00:00.000Z',
    attempts: [],
    conditions: {},
    document: car,
    ...(friction ? { report: { friction } } : {}),
  }) as unknown as RunRecord;
const checked = (runs: RunRecord[], document: BuildDocument = car) =>
  checksOnRecord({
    document,
    revisionId: 'r',
    revisions: [],
    runs,
    failures: [],
    prints: [],
    copies: [],
  }).find(({ id }) => id === 'drive.start');
const weighing = (startG: number): MeasuredFriction => ({
  pulls: [{ id: 'a', part: 'motor', startG, keepG: startG / 2 }],
  errorG: 0.2 * startG,
});
/** Grams that leave a margin of one, without an error, on the only surface. */
const gramsFor = (margin: number) => {
  const found = frictionOf(car, car.brief.surfaces[0], weighing(100));
  if (!found.ok) throw new Error(found.missing.join());
  const { startFactor, stallNm } = found.value.found;
  const { startLoadNm, ratio, radiusMm } = found.value.input;
  const torque = (startFactor! * stallNm!) / margin - startLoadNm! / ratio;
  return (torque * ratio * 1000) / (9.81 * (radiusMm / 1000));
};

describe('starting against friction', () => {
  it('is judged where this revision was measured', () => {
    expect(checked([])).toBeUndefined();
    expect(checked([run(undefined)])).toBeUndefined();
    expect(checked([run(weighing(100), 'another')])).toBeUndefined();
    expect(checked([run(weighing(100))])).toMatchObject({ segment: 'drive', state: 'clear' });
  });

  it('takes the margin at worst: with the weights as much heavier as they may be', () => {
    const single = { ...car, brief: { ...car.brief, surfaces: car.brief.surfaces.slice(0, 1) } };
    // 1.2 times the weight leaves a margin of one
    const found = checked([run(weighing(gramsFor(1) / 1.2))], single)!;
    expect(found.value).toBeCloseTo(1, 6);
    expect(checked([run(weighing(gramsFor(1)))], single)!.state).toBe('over');
    expect(checked([run(weighing(gramsFor(1.4) / 1.2))], single)!.state).toBe('tight');
    expect(checked([run(weighing(gramsFor(1.8) / 1.2))], single)!.state).toBe('clear');
  });

  it('asks more of a motor that starts blind', () => {
    const blind = applyPatch(car, [{ path: ['drive', 'motor', 'kind'], value: 'sensorless' }]);
    const usual = checked([run(weighing(100))])!;
    const found = checked([run(weighing(100))], blind)!;
    // 0.4 of the pull in place of cos 30°
    expect(found.value! / usual.value!).toBeCloseTo(0.4 / Math.cos(Math.PI / 6), 9);
  });
});

import tQuantile from '@stdlib/stats-base-dists-t-quantile';
import { randomFrom } from '../../base/numeric/random';
import { refusalOf } from '../../fixtures/refused';
import { handlingCircle } from './circle';
import { handlingStraight, type StraightInput } from './straight';

const DEG = 180 / Math.PI;
describe('handling.straight', () => {
  const car = { wheelbaseMm: 280, distanceM: 20 };
  const drifts = (values: readonly number[], direction?: 'out' | 'back') =>
    values.map((driftM) => ({ driftM, ...(direction ? { direction } : {}) }));

  it('tells the car from the place by driving both ways', () => {
    // the car pulls 0.4 m to its left, the slope 0.1 m to the left on the way out and to the right on the way back
    const found = handlingStraight({
      ...car,
      runs: [...drifts([0.48, 0.5, 0.52], 'out'), ...drifts([0.27, 0.3, 0.33], 'back')],
    });
    expect(found.biasM).toBeCloseTo(0.4, 12);
    expect(found.siteM).toBeCloseTo(0.1, 12);
    const [out, back] = [0.02 ** 2 / 3, 0.03 ** 2 / 3];
    const total = out + back + 2 * 0.02 ** 2;
    expect(found.biasErrorM).toBeCloseTo(Math.sqrt(total) / 2, 12);
    const free = total ** 2 / (out ** 2 / 2 + back ** 2 / 2);
    expect(found.siteShown).toBe(0.1 > tQuantile(0.975, free) * found.biasErrorM);
    expect(found).toMatchObject({ side: 'left', driftPct: 2, suspects: ['trim'] });
    // the circle through start and end that leaves along the line
    const curve = (2 * 0.4) / (20 ** 2 + 0.4 ** 2);
    expect(found.curvaturePerM).toBeCloseTo(curve, 12);
    expect(found.equivalentSteerDeg).toBeCloseTo(0.28 * curve * DEG, 12);
    expect(found.trimDeg).toBe(-found.equivalentSteerDeg);
    expect(found.steerErrorDeg).toBeCloseTo(((0.28 * 2 * DEG) / 20 ** 2) * found.biasErrorM, 4);
  });

  it('a car that understeers needs more steering for the same drift, one beyond its critical speed has none', () => {
    const slow = handlingStraight({ ...car, runs: drifts([1, 1.02]) });
    const fast = handlingStraight({
      ...car,
      speedMps: 10,
      understeerDegPerMps2: 0.2,
      runs: drifts([1, 1.02]),
    });
    expect(fast.equivalentSteerDeg / slow.equivalentSteerDeg).toBeCloseTo(1 + (0.2 / DEG) * (100 / 0.28), 9);
    expect(
      refusalOf(() =>
        handlingStraight({ ...car, speedMps: 10, understeerDegPerMps2: -0.2, runs: drifts([1]) }),
      ).path,
    ).toBe('understeerDegPerMps2');
  });

  it('one run is as sure as the aim', () => {
    const found = handlingStraight({ ...car, aimErrorDeg: 1, readErrorM: 0.05, runs: drifts([-0.9]) });
    expect(found.biasErrorM).toBeCloseTo(Math.hypot((20 * Math.PI) / 180, 0.05), 12);
    expect(found.side).toBe(0.9 > 1.959964 * found.biasErrorM ? 'right' : 'none shown');
    expect('scatterDeg' in found).toBe(false);
    expect('siteM' in found).toBe(false);
  });

  it.each([
    ['place', { runs: [...drifts([0.5, 0.52], 'out'), ...drifts([-0.5, -0.52], 'back')] }],
    ['play', { distanceM: 6, runs: drifts([-0.6, 0.5, -0.5, 0.6]) }],
    ['alignment', { distanceM: 8, runs: drifts([2, 2.01, 1.99]) }],
    ['bent', { distanceM: 4, runs: drifts([2.4, 2.41, 2.39]) }],
  ])('suspects %s first', (suspect, change: Partial<StraightInput>) => {
    expect(handlingStraight({ ...car, runs: [], ...change }).suspects[0]).toBe(suspect);
  });

  it('shows a side where there is none in one of twenty', () => {
    const random = randomFrom(5);
    const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const tries = 2000;
    let shown = 0;
    for (let k = 0; k < tries; k++) {
      const runs = drifts(Array.from({ length: 4 }, () => 0.3 * normal()));
      if (handlingStraight({ ...car, readErrorM: 0, runs }).side !== 'none shown') shown++;
    }
    expect(Math.abs(shown / tries - 0.05)).toBeLessThan(0.015);
  });
});

describe('handling.circle', () => {
  const [L, R] = [0.28, 3];
  /** Circles of a car whose wheels are steered as the linear bicycle says, off centre by half a degree. */
  const driven = (K: number, speeds: readonly number[], radiusM = R) =>
    speeds.map((v) => ({
      radiusM,
      lapTimeS: (2 * Math.PI * radiusM) / v,
      steerDeg: (L / radiusM) * DEG + 0.5 + K * (v ** 2 / radiusM),
    }));

  it('gives back understeer and offset, and the speeds that follow', () => {
    const found = handlingCircle({
      wheelbaseMm: 280,
      runs: driven(0.3, [2, 3, 4]),
      predictedDegPerMps2: 0.31,
    });
    expect(found.understeerDegPerMps2).toBeCloseTo(0.3, 9);
    expect(found.understeerDegPerGee).toBeCloseTo(0.3 * 9.81, 9);
    expect(found.offsetDeg).toBeCloseTo(0.5, 9);
    found.lateralMps2.forEach((a, k) => expect(a).toBeCloseTo([4, 9, 16][k]! / R, 9));
    expect(found.speedsMps[2]).toBeCloseTo(4, 12);
    expect(found.characteristicSpeedMps).toBeCloseTo(Math.sqrt(L / (0.3 / DEG)), 9);
    expect(found.differenceDegPerMps2).toBeCloseTo(-0.01, 9);
    expect(found.agrees).toBe(true);
    const loose = handlingCircle({ wheelbaseMm: 280, runs: driven(-0.4, [2, 3, 4]) });
    expect(loose.criticalSpeedMps).toBeCloseTo(Math.sqrt(L / (0.4 / DEG)), 9);
  });

  it('is as sure as its readings, propagated through two circles by hand, or as they scatter', () => {
    const runs = driven(0.3, [2, 4]).map((run) => ({
      ...run,
      radiusErrorM: 0,
      lapTimeErrorS: 0,
      steerErrorDeg: 0.2,
    }));
    const found = handlingCircle({ wheelbaseMm: 280, runs });
    // two points: the slope's error is √2 times a reading's over how far they are apart
    expect(found.understeerErrorDegPerMps2).toBeCloseTo((0.2 * Math.SQRT2) / (12 / R), 9);
    const timed = driven(0.3, [2, 4]).map((run) => ({
      ...run,
      radiusErrorM: 0,
      steerErrorDeg: 0,
      lapTimeErrorS: 0.1,
    }));
    const byTime = timed.map(({ lapTimeS }, k) => (0.3 * 2 * ([4, 16][k]! / R) * 0.1) / lapTimeS);
    expect(handlingCircle({ wheelbaseMm: 280, runs: timed }).understeerErrorDegPerMps2).toBeCloseTo(
      Math.hypot(...byTime) / (12 / R),
      9,
    );
    const off = driven(0.3, [2, 3, 4]).map((run, k) => ({
      ...run,
      radiusErrorM: 0,
      lapTimeErrorS: 0,
      steerErrorDeg: 0,
      steerDeg: run.steerDeg + [0.1, -0.2, 0.1][k]!,
    }));
    const scattered = handlingCircle({ wheelbaseMm: 280, runs: off });
    const s = Math.sqrt(scattered.residualsDeg.reduce((sum, rest) => sum + rest ** 2, 0));
    const [a, b, c] = scattered.lateralMps2 as [number, number, number];
    const middle = (a + b + c) / 3;
    const saa = (a - middle) ** 2 + (b - middle) ** 2 + (c - middle) ** 2;
    expect(scattered.understeerErrorDegPerMps2).toBeCloseTo(s / Math.sqrt(saa), 9);
  });

  it('says nothing of a speed where it shows neither, warns near the limit, and refuses circles that are alike', () => {
    const even = handlingCircle({ wheelbaseMm: 280, runs: driven(0.01, [2, 4]), mu: 0.8 });
    expect('characteristicSpeedMps' in even || 'criticalSpeedMps' in even).toBe(false);
    expect(even.notes.map(({ code }) => code)).toEqual(['note.handling.neutral']);
    // 16/3 over 0.6·0.8·g = 4.7
    expect(even.findings.map(({ about, severity }) => [about, severity])).toEqual([['runs.1', 'tight']]);
    expect(refusalOf(() => handlingCircle({ wheelbaseMm: 280, runs: driven(0.3, [3, 3.1]) })).path).toBe(
      'runs',
    );
  });
});

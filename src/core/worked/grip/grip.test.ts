import { applyPatch } from '../../base/patch';
import type { BuildDocument } from '../../car/document/document';
import type { GripSheet } from '../../car/records/gripReport';
import type { RunRecord } from '../../car/records/records';
import { car } from '../../fixtures/car';
import { evaluateBuild } from '../../verdict/evaluate';
import { driveRun } from '../../physics/motion/run';
import { runInputOf } from '../motion/runOfBuild';
import { frictionOf } from '../motion/tyreOfRun';
import { tyreName } from '../../car/tyres/tyres';
import { drivenSince, gripDiffers, gripTable, isOnTheCar, measurementOf, takeGrip } from './gripOfRuns';
import { circleOf, predictedUndersteer, steersAsDriven, straightOf, takeUndersteer } from './handlingOfRuns';

const G = 9.81;
const surface = car.brief.surfaces[0]!;
const tyre = tyreName(car.drive.tyre!);
const readings = (...values: number[]) => values.map((value, k) => ({ id: `r${k}`, value }));
const run = (id: string, grip: GripSheet, more: Partial<RunRecord> = {}): RunRecord =>
  ({
    id,
    kind: 'grip',
    attempts: [],
    conditions: { surfaceId: surface.id, surfaceName: surface.name },
    report: { grip: { tyre, ...grip } },
    ranAt: '2026-11-20T10:00:00.000Z',
    document: car,
    revisionId: 'a',
    predicted: undefined,
    ...more,
  }) as RunRecord;
/** 1.9 kg pulled level with all wheels held: the force is μ·m·g. */
const pulled = (mu: number, id = 'p', more: Partial<RunRecord> = {}) =>
  run(id, { method: 'pull', readings: readings(...[0.98, 1, 1.02].map((by) => by * mu * 1.9 * G)) }, more);

describe('friction measured on a build', () => {
  it('is what slid over what it weighs, whatever was on it that day', () => {
    const [plain] = gripTable(car, [pulled(0.7)]);
    expect(plain!.found.longitudinal!.mu).toBeCloseTo(0.7, 12);
    expect(plain).toMatchObject({ tyre, surfaceId: surface.id, readings: 3 });
    const loaded = run(
      'l',
      { method: 'pull', readings: readings(0.7 * 2.4 * G) },
      { conditions: { surfaceId: surface.id, extraMassG: 500 } },
    );
    expect(gripTable(car, [loaded])[0]!.found.longitudinal!.mu).toBeCloseTo(0.7, 12);
  });

  it('puts methods of one tyre and surface together, along and across apart', () => {
    const degrees = (Math.atan(0.6) * 180) / Math.PI;
    const [pair] = gripTable(car, [
      pulled(0.7),
      run('t', { method: 'tilt', nose: 'across', readings: readings(degrees) }),
      run('b', { method: 'brakeLength', speedMps: 6, readings: readings(36 / (2 * 0.7 * G)) }),
    ]);
    expect(pair!.found.longitudinal).toMatchObject({ n: 2, consistent: true });
    expect(pair!.found.lateral!.mu).toBeCloseTo(0.6, 9);
    expect(pair!.readings).toBe(5);
  });

  it('moves the launch once the build takes it, the typed figure back out of the tyre’s factor', () => {
    const pair = gripTable(car, [
      pulled(0.5),
      run('a', { method: 'pull', direction: 'lateral', readings: readings(0.45 * 1.9 * G) }),
    ])[0]!;
    const taken = applyPatch(car, takeGrip(car, pair));
    const now = taken.brief.surfaces[0]!;
    expect(frictionOf(now, taken.drive.tyre!)).toBeCloseTo(0.5, 2);
    expect(now.lateralGripFactor).toBeCloseTo(0.9, 2);
    const launch = (document: BuildDocument) => {
      const input = runInputOf(document, document.brief.surfaces[0]!);
      return input.ok ? driveRun(input.value) : undefined;
    };
    expect(launch(taken)!.peakAccelMps2).toBeLessThan(launch(car)!.peakAccelMps2);
    const check = (document: BuildDocument) =>
      evaluateBuild(document).find(({ id }) => id === 'chassis.grip')!;
    expect(check(car)).toMatchObject({ state: 'tight', finding: { code: 'chassis.grip.assumed' } });
    expect(check(taken)).toMatchObject({ state: 'clear', finding: { code: 'chassis.grip.measured' } });
    // a figure that is typed afterwards is no measured one
    const typed = applyPatch(taken, [{ path: ['brief', 'surfaces', surface.id, 'mu'], value: 0.9 }]);
    expect(check(typed).state).toBe('tight');
    // nor is it that of other tyres
    const other = applyPatch(taken, [{ path: ['drive', 'tyre', 'compound'], value: 'Foam' }]);
    expect(check(other).state).toBe('tight');
    expect(takeGrip(taken, pair)).toEqual(takeGrip(car, pair));
  });

  it('keeps the wet apart, which the build does not take, and counts what the tyres were driven since', () => {
    const wet = run(
      'w',
      { method: 'pull', wet: true, readings: readings(0.4 * 1.9 * G) },
      { drivenMinutes: 9, ranAt: '2026-11-19T10:00:00.000Z' },
    );
    const later = pulled(0.7, 'l', { ranAt: '2026-11-25T10:00:00.000Z', drivenMinutes: 12 });
    const table = gripTable(car, [pulled(0.7), wet]);
    expect(table.map((pair) => [pair.wet, Number(pair.found.longitudinal!.mu.toFixed(9))])).toEqual([
      [false, 0.7],
      [true, 0.4],
    ]);
    expect(takeGrip(car, table[1]!)).toEqual([]);
    expect(drivenSince(table[0]!, [wet, later])).toBe(12);
    const other = {
      ...later,
      document: applyPatch(car, [{ path: ['drive', 'tyre', 'compound'], value: 'Foam' }]),
    };
    expect(drivenSince(table[0]!, [other])).toBe(0);
  });

  it('knows the tyre on the car, and tells no difference where none is shown', () => {
    const [own, other] = gripTable(car, [
      pulled(0.7),
      run('o', { method: 'pull', tyre: 'Another', readings: readings(0.71 * 1.9 * G) }),
    ]).sort((a, b) => Number(isOnTheCar(car, b)) - Number(isOnTheCar(car, a)));
    expect([own, other].map((pair) => isOnTheCar(car, pair!))).toEqual([true, false]);
    expect(gripDiffers(own!.found.longitudinal!, other!.found.longitudinal!)).toBe(false);
    expect(gripDiffers({ mu: 0.7, u: 0.01, n: 1 }, { mu: 0.75, u: 0.01, n: 1 })).toBe(true);
  });

  it.each<[string, GripSheet, string[]]>([
    ['no reading', { method: 'pull' }, ['readings']],
    ['no radius', { method: 'circle', readings: readings(4) }, ['radiusM']],
    ['no speed', { method: 'launch', readings: readings(1) }, ['speedMps']],
  ])('waits for what a sheet lacks: %s', (_, sheet, missing) => {
    expect(measurementOf('x', sheet)).toEqual({ ok: false, missing });
    expect(gripTable(car, [run('x', sheet)])).toEqual([]);
  });

  it('leaves a run out whose figures contradict each other, and keeps the others', () => {
    // the free wheels take more than the pull
    const odd = run('odd', {
      method: 'pull',
      locked: 'rear',
      resistanceN: 50,
      readings: readings(2),
    });
    expect(gripTable(car, [odd, pulled(0.7)])[0]!.found.longitudinal).toMatchObject({ n: 1 });
  });
});

describe('how a build runs straight and round', () => {
  it('drifts on a curve that the wheelbase turns into steering', () => {
    const found = straightOf(car, surface, {
      distanceM: 10,
      drifts: [0.5, 0.52, 0.48].map((driftM, k) => ({ id: `d${k}`, driftM })),
    });
    const curve = (2 * 0.5) / (100 + 0.25);
    expect(found.ok && found.value.equivalentSteerDeg).toBeCloseTo((0.28 * curve * 180) / Math.PI, 9);
    expect(straightOf(car, surface, {})).toEqual({ ok: false, missing: ['runs:drift'] });
  });

  it('is held against what its tyres foretell', () => {
    const measured = applyPatch(car, [
      {
        path: ['suspension', 'aids'],
        value: { tyre: { corneringFrontPerRad: 8, corneringRearPerRad: 10 } },
      },
    ]);
    const K = predictedUndersteer(measured, surface, 3)!;
    // (1/8 − 1/10)/g, a little less for what rolling takes of the grip
    expect(K).toBeCloseTo(((1 / 8 - 1 / 10) / G) * (180 / Math.PI), 1);
    const circles = [2, 3].map((v, k) => ({
      id: `c${k}`,
      radiusM: 3,
      lapTimeS: (2 * Math.PI * 3) / v,
      steerDeg: ((0.28 / 3) * 180) / Math.PI + K * (v ** 2 / 3),
    }));
    const found = circleOf(measured, surface, { circles, predictedDegPerMps2: K });
    expect(found.ok && found.value.understeerDegPerMps2).toBeCloseTo(K, 9);
    expect(found.ok && found.value.agrees).toBe(true);
    expect(circleOf(measured, surface, { circles: circles.slice(1) })).toMatchObject({ ok: false });
  });

  it('steers as its circles showed once the build takes them, the product of its stiffnesses kept', () => {
    const shown = (K: number) => {
      const circles = [2, 3].map((v, k) => ({
        id: `c${k}`,
        radiusM: 3,
        lapTimeS: (2 * Math.PI * 3) / v,
        steerDeg: ((0.28 / 3) * 180) / Math.PI + K * (v ** 2 / 3),
      }));
      const found = circleOf(car, surface, { circles });
      if (!found.ok) throw new Error(found.missing.join());
      return found.value;
    };
    for (const K of [0.25, -0.15]) {
      expect(steersAsDriven(car, surface, { ...shown(K), understeerErrorDegPerMps2: 0.01 })).toBe(false);
      const taken = applyPatch(car, takeUndersteer(car, surface, shown(K)));
      expect(predictedUndersteer(taken, surface, 2.5)).toBeCloseTo(K, 3);
      const { corneringFrontPerRad: f, corneringRearPerRad: r } = taken.suspension.aids!.tyre!;
      // typical ones of hard ground with half the weight on each axle
      expect(f! * r!).toBeCloseTo(81, 1);
      expect(steersAsDriven(taken, surface, shown(K))).toBe(true);
    }
    expect(takeUndersteer(car, surface, shown(40))).toEqual([]);
  });
});

import { applyPatch } from '../../base/patch';
import { car } from '../../fixtures/car';
import { handlingStraight } from '../../physics/handling/straight';
import { handlingSteady } from '../../physics/handling/steady/steady';
import { steadyInputOf } from './steadyOfBuild';
import { driftOf, wanderOf } from './wander';

const tyred = (front: number, rear: number) => {
  const input = steadyInputOf(
    applyPatch(car, [
      {
        path: ['suspension', 'aids'],
        value: { tyre: { corneringFrontPerRad: front, corneringRearPerRad: rear } },
      },
    ]),
    car.brief.surfaces[0],
    { speedMps: 6 },
  );
  if (!input.ok) throw new Error(input.missing.join());
  return input.value;
};

describe('steering that nobody gave', () => {
  it('drifts as far as the straightness run reads back', () => {
    const input = tyred(8, 10);
    const driftM = driftOf(input, 0.2, 20)!;
    const { equivalentSteerDeg } = handlingStraight({
      wheelbaseMm: 280,
      distanceM: 20,
      speedMps: 6,
      understeerDegPerMps2: handlingSteady(input).understeerDegPerMps2!,
      runs: [{ driftM }],
    });
    // the way aside is small against the way along
    expect(equivalentSteerDeg).toBeCloseTo(0.2, 2);
    expect(driftOf(input, 0.4, 20)).toBeCloseTo(2 * driftM, 9);
    expect(driftOf(input, 0.2, 40)).toBeCloseTo(4 * driftM, 9);
  });

  it('an understeering car wanders less, one beyond its critical speed has no line', () => {
    expect(driftOf(tyred(8, 10), 0.2, 20)!).toBeLessThan(driftOf(tyred(9, 9), 0.2, 20)!);
    const loose = tyred(12, 6);
    const critical = handlingSteady(loose).criticalSpeedMps!;
    expect(driftOf({ ...loose, speedMps: 1.2 * critical }, 0.2, 20)).toBeUndefined();
  });

  it('says nothing of a front that is not drawn', () => {
    expect(wanderOf(car, tyred(9, 9), { distanceM: 20, bumpMm: 5 })).toEqual({});
  });
});

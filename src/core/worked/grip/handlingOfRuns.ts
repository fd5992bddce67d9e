import { type Assembled, missingOf } from '../../base/assembled';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { type CircleSheet, type StraightSheet, USUAL_STRAIGHT_M } from '../../car/records/gripReport';
import { type CircleResult, handlingCircle } from '../../physics/handling/circle';
import { handlingStraight, type StraightResult } from '../../physics/handling/straight';
import { handlingSteady } from '../../physics/handling/steady/steady';
import { frictionOfCar } from '../motion/tyreOfRun';
import { steadyInputOf } from '../stability/steadyOfBuild';

/** Understeer that a build is expected to have at a speed, degrees over m/s²; undefined where it has no steady turn or is incomplete. */
export function predictedUndersteer(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  speedMps: number,
): number | undefined {
  const input = steadyInputOf(document, surface, { speedMps });
  return input.ok ? handlingSteady(input.value).understeerDegPerMps2 : undefined;
}

/** What drifts say of a build's straightness, or what is missing. */
export function straightOf(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  { distanceM = USUAL_STRAIGHT_M, speedMps = 0, drifts = [] }: StraightSheet,
): Assembled<StraightResult> {
  const { wheelbaseMm } = document.chassis;
  const missing = missingOf({ 'chassis.wheelbaseMm': wheelbaseMm, 'runs:drift': drifts[0] });
  if (missing.length > 0) return { ok: false, missing };
  const understeer = speedMps > 0 ? predictedUndersteer(document, surface, speedMps) : undefined;
  return {
    ok: true,
    value: handlingStraight({
      wheelbaseMm: wheelbaseMm!,
      distanceM,
      runs: drifts.map(({ driftM, direction }) => ({ driftM, ...(direction ? { direction } : {}) })),
      speedMps,
      ...(understeer === undefined ? {} : { understeerDegPerMps2: understeer }),
    }),
  };
}

/** What circles say of a build's understeer against what was expected, or what is missing. */
export function circleOf(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  { circles = [], predictedDegPerMps2 }: CircleSheet,
): Assembled<CircleResult> {
  const { wheelbaseMm, frontLoadShare = 0.5 } = document.chassis;
  const missing = missingOf({ 'chassis.wheelbaseMm': wheelbaseMm, 'runs:circle': circles[1] });
  if (missing.length > 0) return { ok: false, missing };
  const mu =
    surface && document.drive.tyre ? frictionOfCar(document.drive, surface, frontLoadShare) : undefined;
  const speeds = circles.map(({ radiusM, lapTimeS }) => (2 * Math.PI * radiusM) / lapTimeS);
  const mean = speeds.reduce((sum, speed) => sum + speed, 0) / speeds.length;
  const predicted = predictedDegPerMps2 ?? predictedUndersteer(document, surface, mean);
  return {
    ok: true,
    value: handlingCircle({
      wheelbaseMm: wheelbaseMm!,
      runs: circles.map(({ id: _, ...circle }) => circle),
      ...(mu === undefined ? {} : { mu }),
      ...(predicted === undefined ? {} : { predictedDegPerMps2: predicted }),
    }),
  };
}

import { bisectBoundary } from '../../base/numeric/boundary';
import { applyPatch, type Patch } from '../../base/patch';
import { type Assembled, missingOf } from '../../base/assembled';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { type CircleSheet, type StraightSheet, USUAL_STRAIGHT_M } from '../../car/records/gripReport';
import { type CircleResult, handlingCircle } from '../../physics/handling/circle';
import { handlingStraight, type StraightResult } from '../../physics/handling/straight';
import { axlesAt } from '../../physics/handling/steady/axles';
import { setupOf } from '../../physics/handling/steady/setup';
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

const MOST_APART = 4;
const meanSpeed = (found: CircleResult) =>
  found.speedsMps.reduce((sum, speed) => sum + speed, 0) / found.speedsMps.length;

/**
 * The edits by which a build steers as its circles showed. They tell how front and rear stand to each other, not how stiff both
 * are: the product of the two stiffnesses stays. None where no such pair would do it.
 */
export function takeUndersteer(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  found: CircleResult,
): Patch {
  const speedMps = meanSpeed(found);
  const input = steadyInputOf(document, surface, { speedMps });
  if (!input.ok) return [];
  const { front, rear } = axlesAt(setupOf(input.value), speedMps);
  const left = (use: number) => Math.sqrt(1 - use ** 2);
  const [f, r] = [front, rear].map((axle) => axle.corneringNPerRad / (axle.loadN * left(axle.use)));
  const path = ['suspension', 'aids', 'tyre'];
  const patchBy = (factor: number): Patch => [
    { path: [...path, 'corneringFrontPerRad'], value: rounded(f! * factor) },
    { path: [...path, 'corneringRearPerRad'], value: rounded(r! / factor) },
  ];
  const understeers = (factor: number) =>
    (predictedUndersteer(applyPatch(document, patchBy(factor)), surface, speedMps) ?? Infinity) >=
    found.understeerDegPerMps2;
  if (!(f! > 0 && r! > 0) || !understeers(1 / MOST_APART) || understeers(MOST_APART)) return [];
  return patchBy(bisectBoundary(understeers, 1 / MOST_APART, MOST_APART));
}

const rounded = (value: number) => Number(value.toPrecision(4));

/** Whether a build already steers as its circles showed, within their error. */
export function steersAsDriven(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  found: CircleResult,
): boolean {
  const now = predictedUndersteer(document, surface, meanSpeed(found));
  return now !== undefined && Math.abs(now - found.understeerDegPerMps2) <= found.understeerErrorDegPerMps2;
}

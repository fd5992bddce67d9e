import { GRAVITY } from '../../base/constants';

export const DIFFERENTIALS = ['open', 'limited', 'locked'] as const;
export type DifferentialKind = (typeof DIFFERENTIALS)[number];

export interface DifferentialInput {
  kind: DifferentialKind;
  /** Torque of the slower wheel over the faster's, over 1; for a limited one. */
  biasRatio?: number;
  axleTorqueNm: number;
  /** Left and right, N. */
  wheelLoadN: readonly [number, number];
  /** Friction coefficient. */
  mu: number;
  tyreRadiusMm: number;
  trackMm: number;
  cornerRadiusM?: number;
  /** Torque at which the clutch slips, Nm. */
  clutchNm?: number;
  clutchToAxleRatio?: number;
  /** Turned by driving the sides against each other. */
  skid?: { massKg: number; wheelbaseMm: number; wheelSpeedMps: number };
}

export interface DifferentialResult {
  wheelTorqueNm: [number, number];
  driveN: number;
  lostNm: number;
  clutchSlips?: boolean;
  /** What the outer wheel runs faster than the inner, of the mean; a locked axle scrubs it. */
  speedDifferencePct?: number;
  /** Moment against the corner of a locked axle, Nm. */
  scrubMomentNm?: number;
  skid?: { yawRateDegPerS: number; wheelTorqueNm: number; powerW: number };
}

export const USUAL_BIAS = 2.5;

/**
 * What differential, clutch and steering by driving do to an axle.
 *
 * @returns torques in Nm, forces in N, the turn on the spot in degrees a second and W
 * @see Milliken and Milliken, Race Car Vehicle Dynamics, ch. 20 (differentials); Wong, Theory of Ground Vehicles, ch. 6 (skid steering)
 */
export function drivetrainDifferential(input: DifferentialInput): DifferentialResult {
  const { kind, axleTorqueNm, wheelLoadN, mu, trackMm, cornerRadiusM, clutchNm } = input;
  const radius = input.tyreRadiusMm / 1000;
  const capNm = clutchNm === undefined ? Infinity : clutchNm * (input.clutchToAxleRatio ?? 1);
  const torque = Math.min(axleTorqueNm, capNm);
  const grips = wheelLoadN.map((load) => mu * load * radius) as [number, number];
  const least = Math.min(...grips);
  const most = mostOf(kind, least, grips[0] + grips[1], input.biasRatio ?? USUAL_BIAS);
  const sum = Math.min(torque, most);
  const result: DifferentialResult = {
    wheelTorqueNm: shared(sum, grips),
    driveN: sum / radius,
    lostNm: torque - sum,
  };
  if (clutchNm !== undefined) result.clutchSlips = axleTorqueNm > capNm;
  if (cornerRadiusM !== undefined) {
    result.speedDifferencePct = (100 * trackMm) / 1000 / cornerRadiusM;
    if (kind === 'locked') result.scrubMomentNm = (least / radius) * (trackMm / 1000);
  }
  if (input.skid) result.skid = turnOnTheSpot(input, input.skid);
  return result;
}

/** Largest sum of both wheels' torques that the kind passes on, Nm. */
function mostOf(kind: DifferentialKind, least: number, both: number, bias: number): number {
  if (kind === 'open') return 2 * least;
  if (kind === 'limited') return Math.min(least * (1 + bias), both);
  return both;
}

/** Half each, up to its grip; what the weaker cannot carry goes to the other. */
function shared(sum: number, [left, right]: readonly [number, number]): [number, number] {
  const weaker = Math.min(sum / 2, left, right);
  return left <= right ? [weaker, sum - weaker] : [sum - weaker, weaker];
}

function turnOnTheSpot(
  { mu, tyreRadiusMm, trackMm }: DifferentialInput,
  { massKg, wheelbaseMm, wheelSpeedMps }: NonNullable<DifferentialInput['skid']>,
) {
  const track = trackMm / 1000;
  const length = wheelbaseMm / 1000;
  const diagonal = Math.hypot(track, length);
  const weight = massKg * GRAVITY;
  return {
    yawRateDegPerS: (((2 * track * wheelSpeedMps) / diagonal ** 2) * 180) / Math.PI,
    wheelTorqueNm: (mu * (weight / 4) * (tyreRadiusMm / 1000) * length) / diagonal,
    powerW: (mu * weight * wheelSpeedMps * length) / diagonal,
  };
}

import { type Measure, measure } from '../../base/measure';
import { AIR_DENSITY, GRAVITY } from '../../base/constants';
import { refusal } from '../../base/errors';
import { trackAt, type Triple } from './balance';
import { type Finding, finding } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.stability.drag': { accel: Measure };
    'note.stability.lifted': Record<never, never>;
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'stability.height': { h: Measure };
    'stability.wheelbase': { x: Measure; wheelbaseMm: Measure };
    'stability.track': { y: Measure; half: Measure };
  }
}

export interface StabilityInput {
  wheelbaseMm: number;
  trackFrontMm: number;
  trackRearMm: number;
  /** From the front axle on the ground, x forward, y to the left, z up. */
  cgMm: Triple;
  massG: number;
  /** Friction coefficient. */
  mu: number;
  cornerRadiusM?: number;
  cdaM2?: number;
  claFrontM2?: number;
  claRearM2?: number;
  speedMps?: number;
}

export interface StabilityResult {
  staticStabilityFactor: number;
  outcome: 'tips' | 'slides';
  tipSpeedMps?: number;
  slideSpeedMps?: number;
  frontLiftsAtMps2: number;
  rearLiftsAtMps2: number;
  axleLoadsN: { front: number; rear: number };
  rearGripShare: number;
  brakingLimitMps2: number;
  brakingLimitedBy: 'grip' | 'lift';
  cgHeightForNoTipMm: number;
  notes: Finding[];
}

/**
 * Whether a car slides or tips in a corner, what lifts an axle, and how hard it can brake.
 *
 * @returns speeds in m/s, accelerations in m/s², loads in N, heights in mm
 * @throws CalcError at `cgMm` of a centre of gravity on the ground, outside the track or outside the wheelbase
 * @see Gillespie, Fundamentals of Vehicle Dynamics, ch. 9 (rollover) and 3 (braking)
 */
export function chassisStability(input: StabilityInput): StabilityResult {
  const {
    wheelbaseMm,
    cgMm,
    massG,
    mu,
    cornerRadiusM,
    cdaM2 = 0,
    claFrontM2 = 0,
    claRearM2 = 0,
    speedMps = 0,
  } = input;
  const [x, y, h] = cgMm;
  const half = trackAt(x, input) / 2;
  if (h <= 0) throw refusal('cgMm', 'stability.height', { h: measure(h, 'lengthMm', 4) });
  if (x >= 0 || x <= -wheelbaseMm)
    throw refusal('cgMm', 'stability.wheelbase', {
      x: measure(x, 'lengthMm', 4),
      wheelbaseMm: measure(wheelbaseMm, 'lengthMm', 4),
    });
  if (Math.abs(y) >= half)
    throw refusal('cgMm', 'stability.track', {
      y: measure(y, 'lengthMm', 4),
      half: measure(half, 'lengthMm', 4),
    });
  const factor = (half - Math.abs(y)) / h;
  const massKg = massG / 1000;
  const pressure = (AIR_DENSITY / 2) * speedMps ** 2;
  const share = 1 + x / wheelbaseMm;
  const down = pressure * (claFrontM2 + claRearM2);
  const front = massKg * GRAVITY * share + pressure * claFrontM2;
  const rear = massKg * GRAVITY * (1 - share) + pressure * claRearM2;
  const byGrip = mu * (GRAVITY + down / massKg);
  const byLift = (rear * wheelbaseMm) / (massKg * h);
  return {
    staticStabilityFactor: factor,
    outcome: mu > factor ? 'tips' : 'slides',
    ...(cornerRadiusM === undefined
      ? {}
      : {
          tipSpeedMps: Math.sqrt(GRAVITY * cornerRadiusM * factor),
          slideSpeedMps: Math.sqrt(mu * GRAVITY * cornerRadiusM),
        }),
    frontLiftsAtMps2: (GRAVITY * (wheelbaseMm + x)) / h,
    rearLiftsAtMps2: (GRAVITY * -x) / h,
    axleLoadsN: { front, rear },
    rearGripShare: rear / (front + rear),
    brakingLimitMps2: Math.min(byGrip, byLift),
    brakingLimitedBy: byGrip <= byLift ? 'grip' : 'lift',
    cgHeightForNoTipMm: mu === 0 ? 1e6 : (half - Math.abs(y)) / mu,
    notes: [
      ...(pressure * cdaM2 > 0
        ? [finding('note.stability.drag', { accel: measure((pressure * cdaM2) / massKg, 'accelMps2') })]
        : []),
      ...(front <= 0 || rear <= 0 ? [finding('note.stability.lifted', {})] : []),
    ],
  };
}

import { bisectBoundary } from '../../base/numeric/boundary';

/** A car that weaves between markers that stand in a line. */
export interface SlalomDefinition {
  /** From marker to marker along the line. */
  spacingM: number;
  /** Of the car's middle from the line where it passes a marker. */
  offsetM: number;
  wheelbaseMm: number;
  /** Understeer, degrees of the front wheels over m/s². */
  understeerDegPerMps2?: number;
  /** What the ground holds across at a speed, m/s². */
  lateralMps2At: (speedMps: number) => number;
  /** Of the front wheels to either side. */
  maxSteerDeg?: number;
  /** Of the front wheels. */
  steerRateDegPerS?: number;
  /** What the car reaches by its motor. */
  mostMps: number;
}

export const SLALOM_LIMITS = ['grip', 'lock', 'servo', 'motor'] as const;
export type SlalomLimit = (typeof SLALOM_LIMITS)[number];

export interface Slalom {
  speedMps: number;
  /** Along the line, over time: what marks at both ends of it would tell. */
  lineMps: number;
  limitedBy: SlalomLimit;
  /** Of the sine over its straight line. */
  pathFactor: number;
  /** Of the front wheels beside a marker, and while they are straight. */
  steerDeg: number;
  steerRateDegPerS: number;
}

const LEAST_MPS = 0.01;
const STEPS = 64;
const RAD = Math.PI / 180;

/**
 * The fastest even speed through markers on y = A·sin(π·x/d): beside a marker its curvature is A·(π/d)², where grip and lock
 * are asked for most; half-way the wheels swing at δ·π·v/d along the line.
 *
 * @returns speeds in m/s, angles in degrees; a car that cannot turn so tightly has a speed of 0
 * @see Milliken, Race Car Vehicle Dynamics, ch. 5 (steering of a path); Abramowitz and Stegun, 17.3 (length of a sine)
 */
export function slalom({
  spacingM: d,
  offsetM,
  wheelbaseMm,
  understeerDegPerMps2 = 0,
  lateralMps2At,
  maxSteerDeg = Infinity,
  steerRateDegPerS = Infinity,
  mostMps,
}: SlalomDefinition): Slalom {
  const curvature = offsetM * (Math.PI / d) ** 2;
  const pathFactor = sineLength((offsetM * Math.PI) / d);
  const steerAt = (v: number) =>
    (wheelbaseMm / 1000) * (curvature / RAD) + understeerDegPerMps2 * v * v * curvature;
  const rateAt = (v: number) => (Math.abs(steerAt(v)) * Math.PI * v) / (d * pathFactor);
  const fastest: Readonly<Record<SlalomLimit, number>> = {
    grip: reached((v) => v * v * curvature <= lateralMps2At(v), mostMps),
    lock: reached((v) => Math.abs(steerAt(v)) <= maxSteerDeg, mostMps),
    servo: reached((v) => rateAt(v) <= steerRateDegPerS, mostMps),
    motor: mostMps,
  };
  const limitedBy = SLALOM_LIMITS.reduce(
    (least, one) => (fastest[one] < fastest[least] ? one : least),
    'motor',
  );
  const speedMps = fastest[limitedBy];
  return {
    speedMps,
    lineMps: speedMps / pathFactor,
    limitedBy,
    pathFactor,
    steerDeg: steerAt(speedMps),
    steerRateDegPerS: rateAt(speedMps),
  };
}

/** The highest speed up to which a condition holds; 0 where it does not even hold at a crawl. */
function reached(holds: (speedMps: number) => boolean, mostMps: number): number {
  if (!holds(LEAST_MPS)) return 0;
  for (let step = 1; step <= STEPS; step++) {
    const [from, to] = [(mostMps * (step - 1)) / STEPS || LEAST_MPS, (mostMps * step) / STEPS];
    if (!holds(to)) return bisectBoundary(holds, from, to);
  }
  return mostMps;
}

/** Length of a sine over its line, by the trapezium rule, which is exact to the last digits on a whole period. */
function sineLength(steepness: number): number {
  let sum = 0;
  for (let k = 0; k < STEPS; k++) sum += Math.hypot(1, steepness * Math.cos((2 * Math.PI * k) / STEPS));
  return sum / STEPS;
}

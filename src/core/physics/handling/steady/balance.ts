import { GRAVITY } from '../../../base/constants';
import type { First, SteadyBalance, SteadyTurn } from './definition';
import { type Axles, axlesAt } from './axles';
import type { Setup } from './setup';

const RAD = Math.PI / 180;
/** rad·s²/m under which a car steers neutrally. */
const NEUTRAL = 1e-9;
const NO_DETERMINANT = 1e-9;
const ALIKE = 1e-6;

/** Straight ahead: the matrix of d(v_y, r)/dt and the steering's column, with what they are made of. */
interface Yaw {
  trace: number;
  determinant: number;
  /** Of the steady turn: yaw rate over steering is this over the determinant. */
  steered: number;
  /** What must stay over 0 for a steady turn, N·m per radian. */
  turning: number;
  margin?: number;
}

function yawOf(
  { massKg, inertia, wheelbase, frontLoadShare, sideM2, pressureX, airDensity }: Setup,
  { front, rear }: Axles,
  speed: number,
): Yaw {
  const [a, b] = [(1 - frontLoadShare) * wheelbase, frontLoadShare * wheelbase];
  const [f, r] = [front.corneringNPerRad, rear.corneringNPerRad];
  const side = ((airDensity * speed ** 2) / 2) * sideM2;
  const ahead = pressureX + a;
  const turned = b * r - a * f - side * ahead;
  const [a11, a12] = [-(f + r + side) / (massKg * speed), (b * r - a * f) / (massKg * speed) - speed];
  const [a21, a22] = [turned / (inertia * speed), -(a * a * f + b * b * r) / (inertia * speed)];
  const whole = f + r + side;
  return {
    trace: a11 + a22,
    determinant: a11 * a22 - a12 * a21,
    steered: (a21 * f) / massKg - (a11 * a * f) / inertia,
    turning: r * wheelbase + (a - ahead) * side,
    ...(whole > 0 ? { margin: turned / (whole * wheelbase) } : {}),
  };
}

/** Whether a small disturbance dies away straight ahead. Source: Milliken and Milliken, Race Car Vehicle Dynamics, ch. 5. */
export function isStableAt(setup: Setup, speed: number): boolean {
  const { trace, determinant } = yawOf(setup, axlesAt(setup, speed), speed);
  return determinant > 0 && trace < 0;
}

/** Balance, damping and grip across at a speed. */
export function balanceAt(setup: Setup, speed: number, axles = axlesAt(setup, speed)): SteadyBalance {
  const yaw = yawOf(setup, axles, speed);
  const { trace, determinant, margin } = yaw;
  const stable = determinant > 0 && trace < 0;
  const root = Math.sqrt(Math.max(0, (trace / 2) ** 2 - determinant));
  // of two real roots the smaller one by their product, which keeps its digits
  const largest = trace < 0 && root > 0 ? determinant / (trace / 2 - root) : trace / 2 + root;
  const { massKg, frontLoadShare } = setup;
  const limits = {
    front: axles.front.gripN / (massKg * frontLoadShare),
    rear: axles.rear.gripN / (massKg * (1 - frontLoadShare)),
  };
  const natural = determinant > 0 ? Math.sqrt(determinant) : undefined;
  return {
    ...turnOf(setup, axles, yaw, speed),
    ...(margin === undefined ? {} : { staticMargin: margin }),
    stable,
    ...(natural === undefined
      ? {}
      : { naturalHz: natural / (2 * Math.PI), dampingRatio: -trace / (2 * natural) }),
    ...(stable ? { timeConstantS: -1 / largest } : largest > 0 ? { doublingTimeS: Math.LN2 / largest } : {}),
    axleLimitsMps2: limits,
    maxLateralMps2: Math.min(limits.front, limits.rear),
    letsGoFirst: firstOf(limits.front, limits.rear),
  };
}

function turnOf({ wheelbase }: Setup, { front }: Axles, yaw: Yaw, speed: number): SteadyTurn {
  if (!(front.corneringNPerRad > 0 && yaw.turning > 0)) return {};
  const K = ((speed * yaw.determinant) / yaw.steered - wheelbase) / speed ** 2;
  return {
    ...(Math.abs(yaw.determinant) < NO_DETERMINANT ? {} : { yawGainPerS: yaw.steered / yaw.determinant }),
    understeerDegPerMps2: K / RAD,
    understeerDegPerGee: (K / RAD) * GRAVITY,
    ...(K > NEUTRAL ? { characteristicSpeedMps: Math.sqrt(wheelbase / K) } : {}),
    ...(K < -NEUTRAL ? { criticalSpeedMps: Math.sqrt(-wheelbase / K) } : {}),
  };
}

export const firstOf = (front: number, rear: number): First =>
  Math.abs(front - rear) <= ALIKE * Math.max(front, rear) ? 'both' : front < rear ? 'front' : 'rear';

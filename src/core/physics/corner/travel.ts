import { carry } from '../../base/vec3';
import type { Linkage, Pose } from './linkage';

/** A pose that was reached from rest, with how fast the wheel rises with the arm, mm/rad. */
export interface Reached {
  pose: Pose;
  travelMm: number;
  slope: number;
}

const CLOSE_MM = 1e-10;
const MOST_TRIES = 12;
const LARGEST_STEP_MM = 2;
/** How near the place where it stops is told. */
const STOP_WITHIN_MM = 0.005;
const ASIDE_RAD = 1e-6;

/** Travel of the wheel centre at an arm angle; undefined where a link does not reach. */
const travelAt = (linkage: Linkage, pose: Pose) =>
  carry(pose.upright, linkage.corner.wheelCentre)[2] - linkage.corner.wheelCentre[2];

function slopeAt(linkage: Linkage, angle: number, rackMm: number): number | undefined {
  const [up, down] = [linkage.pose(angle + ASIDE_RAD, rackMm), linkage.pose(angle - ASIDE_RAD, rackMm)];
  return up && down ? (travelAt(linkage, up) - travelAt(linkage, down)) / (2 * ASIDE_RAD) : undefined;
}

/** At rest. */
export function atRest(linkage: Linkage): Reached {
  return { pose: linkage.pose(0, 0)!, travelMm: 0, slope: slopeAt(linkage, 0, 0)! };
}

/** Change of the angle from which two tries tell the slope, rad. */
const TELLING_RAD = 1e-8;

/** A pose close by: secants on the arm's angle, refused where the wheel would turn back on its way. */
function near(linkage: Linkage, from: Reached, travelMm: number, rackMm: number): Reached | undefined {
  let slope = from.slope;
  let angle = from.pose.angle + (travelMm - from.travelMm) / slope;
  let before: { angle: number; off: number } | undefined;
  for (let tries = 0; tries < MOST_TRIES; tries++) {
    const pose = linkage.pose(angle, rackMm);
    if (!pose) return undefined;
    const off = travelAt(linkage, pose) - travelMm;
    if (before && Math.abs(angle - before.angle) > TELLING_RAD)
      slope = (off - before.off) / (angle - before.angle);
    if (slope * from.slope <= 0) return undefined;
    if (Math.abs(off) < CLOSE_MM) return { pose, travelMm, slope };
    before = { angle, off };
    angle -= off / slope;
  }
  return undefined;
}

export type March =
  { reached: Reached } | { stoppedAt: { travelMm: number; rackMm: number }; reached?: undefined };

/** From one pose to another along travel and rack in steps that pass no turning point; where it stops otherwise. */
export function march(linkage: Linkage, from: Reached, travelMm: number, rackMm: number): March {
  const [dTravel, dRack] = [travelMm - from.travelMm, rackMm - from.pose.rackMm];
  const steps = Math.max(1, Math.ceil(Math.max(Math.abs(dTravel), Math.abs(dRack)) / LARGEST_STEP_MM));
  let at = from;
  let share = 0;
  let step = 1 / steps;
  const whole = Math.max(Math.abs(dTravel), Math.abs(dRack));
  while (share < 1) {
    const next = Math.min(1, share + step) > 1 - 1e-12 ? 1 : share + step;
    const found = near(linkage, at, from.travelMm + next * dTravel, from.pose.rackMm + next * dRack);
    if (found) {
      at = found;
      share = next;
      continue;
    }
    step /= 2;
    if (step * whole < STOP_WITHIN_MM)
      return { stoppedAt: { travelMm: at.travelMm, rackMm: at.pose.rackMm } };
  }
  return { reached: at };
}

/** A pose a little up or down, for slopes, with the travel that it really has. */
export interface Aside {
  pose: Pose;
  travelMm: number;
}

/** About so far up or down from a pose; undefined at the end of its way. */
export function aside(linkage: Linkage, from: Reached, byMm: number): Aside | undefined {
  const pose = linkage.pose(from.pose.angle + byMm / from.slope, from.pose.rackMm);
  if (!pose) return undefined;
  const travelMm = travelAt(linkage, pose);
  return (travelMm - from.travelMm) * byMm > 0 ? { pose, travelMm } : undefined;
}

/** Slope of a reading over travel, exact for a parabola through the three places; from two at the end of the way. */
export function slopeOf(
  before: readonly [mm: number, value: number] | undefined,
  at: readonly [mm: number, value: number],
  after: readonly [mm: number, value: number] | undefined,
): number | undefined {
  const part = (a: readonly [number, number], b: readonly [number, number]) => (b[1] - a[1]) / (b[0] - a[0]);
  if (!before || !after) return after ? part(at, after) : before ? part(before, at) : undefined;
  const [h, k] = [at[0] - before[0], after[0] - at[0]];
  return (k * part(before, at) + h * part(at, after)) / (h + k);
}

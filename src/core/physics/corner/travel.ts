import { carry, lengthOf, scale, subtract, turn, type Vec3 } from '../../base/vec3';
import type { Posable, Pose } from './linkage';

/** A pose that was reached from rest, with how fast the wheel rises with the arm, mm/rad, and how its upright leans with it. */
export interface Reached {
  pose: Pose;
  travelMm: number;
  /** Size made over size drawn. */
  slope: number;
  lean: Vec3;
}

const CLOSE_MM = 1e-10;
const MOST_TRIES = 12;
const LARGEST_STEP_MM = 2;
/** How near the place where it stops is told. */
const STOP_WITHIN_MM = 0.005;
const ASIDE_RAD = 1e-6;

/** Travel of the wheel centre at an arm angle; undefined where a link does not reach. */
const travelAt = (linkage: Posable, pose: Pose) =>
  carry(pose.upright, linkage.corner.wheelCentre)[2] - linkage.corner.wheelCentre[2];

const UPRIGHT: Vec3 = [0, 0, 1];

/** Slope and lean at an arm angle; undefined where one side of it does not exist. */
function ratesAt(
  linkage: Posable,
  angle: number,
  rackMm: number,
): Pick<Reached, 'slope' | 'lean'> | undefined {
  const [up, down] = [linkage.pose(angle + ASIDE_RAD, rackMm), linkage.pose(angle - ASIDE_RAD, rackMm)];
  if (!up || !down) return undefined;
  const way = 2 * ASIDE_RAD;
  return {
    slope: (travelAt(linkage, up) - travelAt(linkage, down)) / way,
    lean: scale(subtract(turn(up.upright, UPRIGHT), turn(down.upright, UPRIGHT)), 1 / way),
  };
}

/** At rest. */
export function atRest(linkage: Posable): Reached {
  return { pose: linkage.pose(0, 0)!, travelMm: 0, ...ratesAt(linkage, 0, 0)! };
}

/** Change of the angle from which two tries tell the slope, rad. */
const TELLING_RAD = 1e-8;

/** A pose close by: secants on the arm's angle, refused where the wheel would turn back on its way. */
function near(linkage: Posable, from: Reached, travelMm: number, rackMm: number): Reached | undefined {
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
    if (Math.abs(off) < CLOSE_MM) return steadily(linkage, from, pose, travelMm);
    before = { angle, off };
    angle -= off / slope;
  }
  return undefined;
}

/** A lean that changes more between two neighbours, by itself and over the one before, belongs to another assembly. */
const MOST_CHANGE = 0.5;

/** The pose where the upright leans on as it did before: links in line let a linkage fold over, which is no travel. */
function steadily(linkage: Posable, from: Reached, pose: Pose, travelMm: number): Reached | undefined {
  const rates = ratesAt(linkage, pose.angle, pose.rackMm);
  if (!rates || rates.slope * from.slope <= 0) return undefined;
  const change = lengthOf(subtract(rates.lean, from.lean));
  return change < MOST_CHANGE * (1 + lengthOf(from.lean)) ? { pose, travelMm, ...rates } : undefined;
}

export type March =
  { reached: Reached } | { stoppedAt: { travelMm: number; rackMm: number }; reached?: undefined };

/** From one pose to another along travel and rack in steps that pass no turning point; where it stops otherwise. */
export function march(linkage: Posable, from: Reached, travelMm: number, rackMm: number): March {
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
export function aside(linkage: Posable, from: Reached, byMm: number): Aside | undefined {
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

import type { Corner } from './corner';
import { linkageOf } from './linkage';
import { slopesAt } from './sweep';

const MOST_TRIES = 30;
const FLAT_DEG_PER_MM = 1e-9;
const FIRST_STEP_MM = 0.5;
const MOST_MOVE_MM = 60;

/** How the tie rod's inner end must stand for no bump steer at a travel, moved up or down alone; undefined where no height does. */
export function flatTieHeight<T extends Corner>(corner: T, travelMm = 0): number | undefined {
  const { tieInner } = corner;
  if (!tieInner) return undefined;
  const bump = (z: number) =>
    slopesAt(linkageOf({ ...corner, tieInner: [tieInner[0], tieInner[1], z] }), travelMm).bumpSteerDegPerMm;
  let [before, at] = [tieInner[2], tieInner[2] + FIRST_STEP_MM];
  let [low, now] = [bump(before), bump(at)];
  if (Math.abs(low) < FLAT_DEG_PER_MM) return before;
  for (let tries = 0; tries < MOST_TRIES; tries++) {
    if (Math.abs(now) < FLAT_DEG_PER_MM) return at;
    const next = at - (now * (at - before)) / (now - low);
    if (!Number.isFinite(next) || Math.abs(next - tieInner[2]) > MOST_MOVE_MM) return undefined;
    [before, low] = [at, now];
    [at, now] = [next, bump(next)];
  }
  return undefined;
}

import { useMemo, useState } from 'react';
import type { BuildDocument } from '@/core/car/document/document';
import type { End } from '@/core/car/document/suspension';
import type { Corner } from '@/core/physics/corner/corner';
import { type EndFound, type EndOfBuild, endOf } from '@/core/worked/suspension/endOfBuild';
import { restOf } from '@/core/worked/suspension/restOfBuild';
import { poseCorner, type Posed, travelsInRoll } from '@/core/physics/corner/posed';

/** Where the sliders stand. */
export interface Motion {
  travelMm: number;
  rackMm: number;
  /** To the right. */
  rollDeg: number;
}

/** Straight ahead and upright, at a travel. */
export const stillAt = (travelMm: number): Motion => ({ travelMm, rackMm: 0, rollDeg: 0 });
/** As its points are drawn. */
export const AS_DRAWN: Motion = stillAt(0);
export const isStillAt = (motion: Motion, travelMm: number) =>
  motion.travelMm === travelMm && motion.rackMm === 0 && motion.rollDeg === 0;

export interface CornerMotion {
  found: EndFound;
  /** Where the springs hold it. */
  restMm: number;
  /** Where the sliders stand; at rest until they are moved. */
  motion: Motion;
  /** The last corner that could be drawn, and whether the document has gone on since. */
  drawn?: EndOfBuild;
  stale: boolean;
  /** The right side is drawn mirrored: its travel and rack are those of a left corner. */
  left?: Posed;
  right?: Posed;
}

/** Both wheels of an end, `rollDeg` of lean spread over the track. */
export function bothSides(
  corner: Corner,
  { travelMm, rackMm, rollDeg }: Motion,
): { left: Posed; right: Posed } {
  const travels = travelsInRoll(travelMm, rollDeg, 2 * corner.wheelCentre[1]);
  return {
    left: poseCorner(corner, travels.left, rackMm),
    right: poseCorner(corner, travels.right, -rackMm),
  };
}

/** One end of the page's build as the sliders move it; while its points make no corner the last picture stays. */
export function useCornerMotion(document: BuildDocument, end: End, moved: Motion | undefined): CornerMotion {
  const found = endOf(document, end);
  const [kept, keep] = useState<EndOfBuild>();
  const now = found.ok ? found.value : undefined;
  if (now && now !== kept) keep(now);
  const missing = !found.ok && !found.refused;
  const drawn = now ?? (missing ? undefined : kept);
  const restMm = useMemo(() => restOf(document, end)?.travelMm ?? 0, [document, end]);
  const motion = useMemo(() => moved ?? stillAt(restMm), [moved, restMm]);
  const sides = useMemo(() => (drawn ? bothSides(drawn.corner, motion) : undefined), [drawn, motion]);
  return {
    found,
    restMm,
    motion,
    ...(drawn ? { drawn } : {}),
    stale: !found.ok && drawn !== undefined,
    ...sides,
  };
}

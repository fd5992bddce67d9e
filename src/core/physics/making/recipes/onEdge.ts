import { refusal } from '../../../base/errors';
import { type Measure, measure } from '../../../base/measure';
import type { Point } from '../../gears/outlineFiles';
import { disc } from '../drawn/drawing';
import { type Disc, insideBy } from '../drawn/hull';

declare module '../../../base/errors' {
  interface RefusalFacts {
    'making.edge': { left: Measure; wanted: Measure };
    'making.noRoom': { room: Measure };
  }
}

/** Plastic that must be left round a hole, mm: two lines of a usual nozzle. */
export const LEAST_WALL_MM = 0.8;

/** A hole through an outline, mm. */
export interface DrawnHole {
  at: Point;
  diameterMm: number;
}

/**
 * The contours of holes that lie wholly inside an outline.
 *
 * @throws CalcError at `field` for one that comes too near the edge
 */
export function holesInside(outline: readonly Disc[], holes: readonly DrawnHole[], field: string): Disc[][] {
  return holes.map(({ at, diameterMm }) => {
    const left = insideBy(outline, at) - diameterMm / 2;
    if (left < LEAST_WALL_MM)
      throw refusal(field, 'making.edge', {
        left: measure(Math.max(0, left), 'fitMm'),
        wanted: measure(LEAST_WALL_MM, 'fitMm'),
      });
    return [disc(at[0], at[1], diameterMm / 2)];
  });
}

/** @throws CalcError at `field` where less than the least wall is left */
export function needRoom(roomMm: number, field: string): void {
  if (roomMm < LEAST_WALL_MM)
    throw refusal(field, 'making.noRoom', { room: measure(Math.max(0, roomMm), 'fitMm') });
}

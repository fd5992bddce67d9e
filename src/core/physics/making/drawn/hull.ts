import { circleStretches } from '../../gears/bore';
import type { Point } from '../../gears/outlineFiles';
import type { Stretch } from '../../gears/toothForm';

/** A round place of an outline, mm; of radius 0 a sharp corner. */
export interface Disc {
  at: Point;
  radiusMm: number;
}

/** A corner of the outline: its disc, and the outward directions between which the outline follows it, rad. */
interface Corner {
  disc: Disc;
  from: number;
  to: number;
}

const TURN = 2 * Math.PI;
const TIE = 1e-9;

/**
 * The discs that a thread pulled tight round all of them touches, counter-clockwise.
 *
 * @param discs mm, in any order, those inside others too
 */
function corners(discs: readonly Disc[]): Corner[] {
  const start = discs.reduce((best, disc) => (isFarther(disc, best) ? disc : best));
  const found: Corner[] = [];
  let [disc, angle] = [start, -Math.PI / 2];
  while (angle < (3 / 2) * Math.PI - TIE && found.length <= 2 * discs.length) {
    const next = nextAfter(disc, angle, discs);
    const to = next ? Math.min(next.angle, (3 / 2) * Math.PI) : (3 / 2) * Math.PI;
    found.push({ disc, from: angle, to });
    if (!next || next.angle >= (3 / 2) * Math.PI - TIE) break;
    [disc, angle] = [next.disc, next.angle];
  }
  return found;
}

/** Lowest, and of those as low the farthest to the right. */
function isFarther(a: Disc, b: Disc): boolean {
  const [low, best] = [a.at[1] - a.radiusMm, b.at[1] - b.radiusMm];
  return low < best - TIE || (low < best + TIE && a.at[0] > b.at[0]);
}

/** The disc that the thread meets first when it goes round one from a direction on. */
function nextAfter(
  disc: Disc,
  angle: number,
  discs: readonly Disc[],
): { disc: Disc; angle: number } | undefined {
  let best: { disc: Disc; angle: number; far: number } | undefined;
  for (const other of discs) {
    const [dx, dy] = [other.at[0] - disc.at[0], other.at[1] - disc.at[1]];
    const far = Math.hypot(dx, dy);
    if (far <= Math.abs(disc.radiusMm - other.radiusMm) + TIE) continue;
    const tangent = Math.atan2(dy, dx) - Math.acos((disc.radiusMm - other.radiusMm) / far);
    const ahead = (((tangent - angle) % TURN) + TURN) % TURN;
    const turned = ahead > TURN - TIE ? 0 : ahead;
    const at = angle + turned;
    if (!best || at < best.angle - TIE || (at < best.angle + TIE && far > best.far))
      best = { disc: other, angle: at, far };
  }
  return best;
}

const pointOn = ({ at, radiusMm }: Disc, angle: number): Point => [
  at[0] + radiusMm * Math.cos(angle),
  at[1] + radiusMm * Math.sin(angle),
];

/** Whether one disc holds all the others. */
const isRound = (all: readonly Corner[]): boolean => all.length === 1 && all[0]!.disc.radiusMm > 0;

/**
 * The outline round discs as lines and arcs, counter-clockwise; all convex outlines are such a thread.
 *
 * @param discs mm
 */
export function hullStretches(discs: readonly Disc[]): Stretch[] {
  const all = corners(discs);
  if (isRound(all)) return circleStretches(all[0]!.disc.radiusMm, all[0]!.disc.at);
  // the first and the last corner are one disc, cut where the walk began
  const joined = all.length > 2 && all[0]!.disc === all.at(-1)!.disc;
  const round = joined ? [...all.slice(1, -1), { ...all.at(-1)!, to: all[0]!.to + TURN }] : all;
  return round.flatMap(({ disc, from, to }, k): Stretch[] => {
    const next = round[(k + 1) % round.length]!;
    const [first, last] = [pointOn(disc, from), pointOn(disc, to)];
    const arc: Stretch[] =
      disc.radiusMm > 0 && to - from > TIE
        ? [{ curve: 'arc', points: [first, pointOn(disc, (from + to) / 2), last] }]
        : [];
    return [...arc, { curve: 'line', points: [last, pointOn(next.disc, next.from)] }];
  });
}

/** Inside of the outline round discs, mm². */
export function hullArea(discs: readonly Disc[]): number {
  const all = corners(discs);
  if (isRound(all)) return Math.PI * all[0]!.disc.radiusMm ** 2;
  return all.reduce((area, { disc, from, to }, k) => {
    const next = all[(k + 1) % all.length]!;
    const [a, b] = [pointOn(disc, to), pointOn(next.disc, next.from)];
    const [p, r] = [disc.at, disc.radiusMm];
    // Green's theorem along the arc, then along the line
    const arc =
      (r * (p[0] * (Math.sin(to) - Math.sin(from)) - p[1] * (Math.cos(to) - Math.cos(from))) +
        r * r * (to - from)) /
      2;
    return area + arc + (a[0] * b[1] - b[0] * a[1]) / 2;
  }, 0);
}

/** How far a point lies inside the outline round discs, mm; negative outside. */
export function insideBy(discs: readonly Disc[], [x, y]: Point): number {
  const all = corners(discs);
  const edges = all.map(({ disc, to }) => {
    const [c, s] = [Math.cos(to), Math.sin(to)];
    return disc.at[0] * c + disc.at[1] * s + disc.radiusMm - (x * c + y * s);
  });
  const rounds = all.map(({ disc, from, to }) => {
    const [dx, dy] = [x - disc.at[0], y - disc.at[1]];
    const angle = Math.atan2(dy, dx);
    const ahead = (((angle - from) % TURN) + TURN) % TURN;
    return ahead <= to - from ? disc.radiusMm - Math.hypot(dx, dy) : Infinity;
  });
  return Math.min(...edges, ...rounds);
}

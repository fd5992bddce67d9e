import { refusal } from '../../base/errors';
import type { TrackDefinition } from './definition';

declare module '../../base/errors' {
  interface RefusalFacts {
    'lap.oneForm': Record<never, never>;
    'lap.samePoint': Record<never, never>;
  }
}

/** A track in short stretches: from each node to the next one curvature and grade. */
export interface Track {
  readonly closed: boolean;
  readonly lengthM: number;
  /** Way from the start at each node, m. */
  readonly wayM: Float64Array;
  /** Of each stretch, 1/m and %. */
  readonly curvature: Float64Array;
  readonly gradePct: Float64Array;
  /** At each node: the tighter of its two sides, 1/m. */
  readonly tightest: Float64Array;
  /** Nodes at which the segments begin, and the last node; none where the track is a line of points. */
  readonly boundaries: readonly number[];
}

const STRETCH_M = 0.1;
const LEAST_STRETCHES = 4;
const MOST_STRETCHES = 20_000;

/**
 * @param scale on the length of the stretches, for the proof that they are short enough
 * @throws CalcError where it has both forms or none, or a point twice
 */
export function trackOf(track: TrackDefinition, scale = 1): Track {
  const { segments, pointsM, closed = true } = track;
  if ((segments === undefined) === (pointsM === undefined)) throw refusal('track.segments', 'lap.oneForm');
  const pieces = segments
    ? segments.map(({ lengthM, radiusM, gradePct = 0 }): Piece => ({
        lengthM,
        from: radiusM === undefined ? 0 : 1 / radiusM,
        to: radiusM === undefined ? 0 : 1 / radiusM,
        gradePct,
      }))
    : piecesOfLine(pointsM!, closed, track.resampleM ?? 1);
  return joined(pieces, closed, scale, segments !== undefined);
}

interface Piece {
  lengthM: number;
  /** Curvature at its ends, linear between, 1/m. */
  from: number;
  to: number;
  gradePct: number;
}

function joined(pieces: readonly Piece[], closed: boolean, scale: number, told: boolean): Track {
  const lengthM = pieces.reduce((sum, one) => sum + one.lengthM, 0);
  const shortM = scale * Math.max(STRETCH_M, lengthM / MOST_STRETCHES);
  const counts = pieces.map((one) => Math.max(LEAST_STRETCHES, Math.ceil(one.lengthM / shortM)));
  const stretches = counts.reduce((sum, count) => sum + count, 0);
  const wayM = new Float64Array(stretches + 1);
  const curvature = new Float64Array(stretches);
  const gradePct = new Float64Array(stretches);
  const tightest = new Float64Array(stretches + 1);
  const boundaries: number[] = [];
  let node = 0;
  let start = 0;
  pieces.forEach(({ lengthM: length, from, to, gradePct: grade }, piece) => {
    boundaries.push(node);
    const count = counts[piece]!;
    const at = (share: number) => from + (to - from) * share;
    for (let k = 0; k < count; k++, node++) {
      curvature[node] = at((k + 0.5) / count);
      gradePct[node] = grade;
      tightest[node] = Math.max(tightest[node]!, at(k / count));
      tightest[node + 1] = at((k + 1) / count);
      wayM[node + 1] = start + (length * (k + 1)) / count;
    }
    start += length;
  });
  if (closed) tightest[0] = tightest[stretches] = Math.max(tightest[0]!, tightest[stretches]!);
  return {
    closed,
    lengthM,
    wayM,
    curvature,
    gradePct,
    tightest,
    boundaries: told ? [...boundaries, stretches] : [],
  };
}

const LEAST_PIECES = 8;

function piecesOfLine(pointsM: readonly [number, number][], closed: boolean, resampleM: number): Piece[] {
  const line = closed ? [...pointsM, pointsM[0]!] : pointsM;
  const lengths = line.slice(1).map(([x, y], at) => Math.hypot(x - line[at]![0], y - line[at]![1]));
  const same = lengths.findIndex((length) => length === 0);
  if (same >= 0) throw refusal(`track.pointsM.${(same + 1) % pointsM.length}`, 'lap.samePoint');
  const whole = lengths.reduce((sum, length) => sum + length, 0);
  const count = Math.max(LEAST_PIECES, Math.round(whole / resampleM));
  const cuts = Array.from({ length: count + 1 }, (_, k) => pointAt(line, lengths, (whole * k) / count));
  const bend = Array.from({ length: count + 1 }, (_, k) => {
    if (closed) return curvatureOf(cuts[(k - 1 + count) % count]!, cuts[k % count]!, cuts[(k + 1) % count]!);
    const inner = Math.min(count - 1, Math.max(1, k));
    return curvatureOf(cuts[inner - 1]!, cuts[inner]!, cuts[inner + 1]!);
  });
  return Array.from({ length: count }, (_, k) => ({
    lengthM: whole / count,
    from: bend[k]!,
    to: bend[k + 1]!,
    gradePct: 0,
  }));
}

type Point = readonly [number, number];

function pointAt(line: readonly Point[], lengths: readonly number[], way: number): Point {
  let left = way;
  let at = 0;
  while (at < lengths.length - 1 && left > lengths[at]!) left -= lengths[at++]!;
  const share = Math.min(1, left / lengths[at]!);
  const [[x0, y0], [x1, y1]] = [line[at]!, line[at + 1]!];
  return [x0 + share * (x1 - x0), y0 + share * (y1 - y0)];
}

/** Of the circle through three points: four times their triangle over the product of its sides. */
function curvatureOf([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point): number {
  const twice = Math.abs((bx - ax) * (cy - ay) - (by - ay) * (cx - ax));
  const sides = Math.hypot(bx - ax, by - ay) * Math.hypot(cx - bx, cy - by) * Math.hypot(ax - cx, ay - cy);
  return sides === 0 ? 0 : (2 * twice) / sides;
}

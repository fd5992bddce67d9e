import {
  type Hole,
  type HolesInput,
  type HolesResult,
  type Reading,
  USUAL_PLUS_MINUS_MM,
} from './definition';
import { covarianceOf, freeOf } from './fit';
import { rigidityOf } from './rigidity';
import { holesSolve, linksOf } from './solve';

/** Where one standard deviation of a hole's centre lies: half axes in mm, the longer one's angle from +x. */
export interface Ellipse {
  id: string;
  majorMm: number;
  minorMm: number;
  angleDeg: number;
}

/** The reading that would help most. */
export interface NextReading {
  from: string;
  to: string;
  /** Loose holes that it leaves, or the largest error that it leaves. */
  looseLeft?: number;
  largestErrorMm?: number;
}

export interface SolvedPattern {
  result: HolesResult;
  ellipses: Ellipse[];
  /** Largest half axis, mm. */
  largestErrorMm?: number;
  next?: NextReading;
}

const DEG = 180 / Math.PI;
/** Pairs that are tried, at most. */
const MOST_TRIED = 400;

/** A pattern solved, with what a picture needs and what to measure next. */
export function solvedPattern(input: HolesInput): SolvedPattern {
  const result = holesSolve(input);
  const { holes, readings, seed = 1 } = input;
  const places = Float64Array.from(result.centresMm.flatMap(({ xMm, yMm }) => [xMm, yMm]));
  const unread = unreadPairs(holes, readings);
  const links = linksOf(holes, readings);
  if (!result.rigid) {
    const tried = unread
      .map(([i, j]) => ({
        i,
        j,
        left: rigidityOf(holes.length, [...links, { i, j, mm: 1, sigma: 1 }], 0, 1, seed).loose.length,
      }))
      .sort((a, b) => a.left - b.left);
    const best = tried[0];
    return {
      result,
      ellipses: [],
      ...(best ? { next: { from: holes[best.i]!.id, to: holes[best.j]!.id, looseLeft: best.left } } : {}),
    };
  }
  const free = freeOf(holes.length, 0, 1);
  const covariance = covarianceOf(links, places, free);
  if (!covariance) return { result, ellipses: [] };
  const block = blockReader(covariance, free);
  const ellipses = holes.map(({ id }, at) => ({ id, ...ellipseOf(block(at, covariance)) }));
  const largest = Math.max(...ellipses.map(({ majorMm }) => majorMm));
  const tried = unread
    .map(([i, j]) => ({
      i,
      j,
      left: Math.max(
        ...holes.map((_, at) => ellipseOf(block(at, withReading(covariance, places, free, i, j))).majorMm),
      ),
    }))
    .sort((a, b) => a.left - b.left);
  const best = tried[0];
  return {
    result,
    ellipses,
    largestErrorMm: largest,
    ...(best && best.left < largest
      ? { next: { from: holes[best.i]!.id, to: holes[best.j]!.id, largestErrorMm: best.left } }
      : {}),
  };
}

function unreadPairs(holes: readonly Hole[], readings: readonly Reading[]): [number, number][] {
  const read = new Set(readings.flatMap(({ from, to }) => [`${from} ${to}`, `${to} ${from}`]));
  return holes
    .flatMap(({ id }, i) =>
      holes
        .slice(0, i)
        .flatMap((other, j): [number, number][] => (read.has(`${id} ${other.id}`) ? [] : [[j, i]])),
    )
    .slice(0, MOST_TRIED);
}

type Block = readonly [xx: number, xy: number, yy: number];

/** The part of a covariance that belongs to one hole. */
function blockReader(
  covariance: Float64Array,
  free: readonly number[],
): (hole: number, of: Float64Array) => Block {
  const n = free.length;
  const place = new Map(free.map((at, index) => [at, index]));
  return (hole, of) => {
    const [x, y] = [place.get(2 * hole), place.get(2 * hole + 1)];
    const at = (p: number | undefined, q: number | undefined) =>
      p === undefined || q === undefined ? 0 : of[p * n + q]!;
    return [at(x, x), at(x, y), at(y, y)];
  };
}

function ellipseOf([xx, xy, yy]: Block): Omit<Ellipse, 'id'> {
  const [mean, root] = [(xx + yy) / 2, Math.hypot((xx - yy) / 2, xy)];
  return {
    majorMm: Math.sqrt(mean + root),
    minorMm: Math.sqrt(Math.max(0, mean - root)),
    angleDeg: (Math.atan2(2 * xy, xx - yy) / 2) * DEG,
  };
}

/** C − C·j·jᵀ·C/(σ² + jᵀ·C·j): what one more reading leaves. Source: Ghilani, Adjustment Computations, ch. 22 (sequential). */
function withReading(
  covariance: Float64Array,
  places: Float64Array,
  free: readonly number[],
  i: number,
  j: number,
): Float64Array {
  const n = free.length;
  const [dx, dy] = [places[2 * i]! - places[2 * j]!, places[2 * i + 1]! - places[2 * j + 1]!];
  const length = Math.hypot(dx, dy) || 1;
  const row = new Float64Array(n);
  free.forEach((at, index) => {
    const hole = at >> 1;
    const slope = (at & 1 ? dy : dx) / length;
    row[index] = hole === i ? slope : hole === j ? -slope : 0;
  });
  const cj = Float64Array.from({ length: n }, (_, p) =>
    row.reduce((sum, one, q) => sum + covariance[p * n + q]! * one, 0),
  );
  const scale = 1 / (USUAL_PLUS_MINUS_MM ** 2 + row.reduce((sum, one, p) => sum + one * cj[p]!, 0));
  return covariance.map((value, at) => value - scale * cj[Math.floor(at / n)]! * cj[at % n]!);
}

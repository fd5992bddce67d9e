import { refusal } from '../../../base/errors';
import { type KeptPoint } from './gpxSpeed';
import { closedUp } from './drivenTrace';

/** The line of one round, m east and north of its first point. */
export interface LapLine {
  closed: boolean;
  pointsM: [number, number][];
  /** Rounds that it is the mean of; 1 of an open line. */
  rounds: number;
}

type Point = readonly [east: number, north: number];

const [SAMPLE_M, MOST_POINTS] = [0.5, 600];
/** A round is at least so long, passes its start so near, and the same way within this angle. */
const [LEAST_ROUND_M, GATE_M, SAME_WAY] = [15, 4, Math.cos((60 * Math.PI) / 180)];
const GATES_M = 3;
/** Rounds that differ more from their median are no rounds of this track. */
const ALIKE = 0.15;
/** A receiver's noise is smoothed over this, m; a bend of 4 m keeps 93 % of its radius. */
const SMOOTHED_M = 1.5;

/**
 * A round out of the kept points of a track: the place that is passed most often the same way is its start, and the rounds
 * between are averaged at equal shares of their length. A track that comes back to nowhere is an open line.
 *
 * @throws CalcError at `gpx` for a track that stands still
 */
export function lapLine(kept: readonly (readonly KeptPoint[])[]): LapLine {
  const line = sampled(kept);
  if (line.length < 4) throw refusal('gpx', 'track.standsStill');
  const passes = bestGate(line);
  const spans = passes.slice(1).map((to, at) => [passes[at]!, to] as const);
  const median = middle(spans.map(([from, to]) => to - from));
  const rounds = spans.filter(([from, to]) => Math.abs((to - from) / median - 1) <= ALIKE);
  if (rounds.length === 0) return open(line);
  const count = Math.min(MOST_POINTS, Math.max(12, Math.round(median * SAMPLE_M)));
  const mean = Array.from({ length: count }, (_, k): Point => {
    const places = rounds.map(([from, to]) => along(line, from + ((to - from) * k) / count));
    return [average(places.map(([x]) => x)), average(places.map(([, y]) => y))];
  });
  return { closed: true, pointsM: fromFirst(smoothed(mean)), rounds: rounds.length };
}

function open(line: readonly Point[]): LapLine {
  const count = Math.min(MOST_POINTS, Math.max(4, Math.round((line.length - 1) * SAMPLE_M)));
  const points = Array.from({ length: count + 1 }, (_, k) => along(line, ((line.length - 1) * k) / count));
  return { closed: false, pointsM: fromFirst(points), rounds: 1 };
}

/** Points at equal ways along the track, m; where it stands still there is only one. */
function sampled(kept: readonly (readonly KeptPoint[])[]): Point[] {
  const { eastM, northM } = closedUp(kept);
  const found: Point[] = [];
  let left = 0;
  for (let at = 1; at < eastM.length; at++) {
    const [x, y] = [eastM[at - 1]!, northM[at - 1]!];
    const length = Math.hypot(eastM[at]! - x, northM[at]! - y);
    for (; left < length; left += SAMPLE_M) {
      const share = left / length;
      found.push([x + share * (eastM[at]! - x), y + share * (northM[at]! - y)]);
    }
    left -= length;
  }
  return found;
}

/** Where the track passes the one of its places that it passes most often, as indices. */
function bestGate(line: readonly Point[]): number[] {
  const heading = line.map((_, at) => directionAt(line, at));
  const every = Math.max(1, Math.round(GATES_M / SAMPLE_M), Math.ceil(line.length / MOST_POINTS));
  let best: number[] = [];
  for (let gate = 0; gate < line.length; gate += every) {
    const passes = passesOf(line, heading, gate);
    if (passes.length > best.length) best = passes;
  }
  return best;
}

function passesOf(line: readonly Point[], heading: readonly Point[], gate: number): number[] {
  const [gx, gy] = line[gate]!;
  const [hx, hy] = heading[gate]!;
  const passes: number[] = [];
  let nearest: { at: number; distance: number } | undefined;
  const least = LEAST_ROUND_M / SAMPLE_M;
  for (let at = gate; at <= line.length; at++) {
    const point = line[at];
    const distance = point ? Math.hypot(point[0] - gx, point[1] - gy) : Infinity;
    const isIn = point && distance < GATE_M && heading[at]![0] * hx + heading[at]![1] * hy > SAME_WAY;
    if (isIn) {
      if (!nearest || distance < nearest.distance) nearest = { at, distance };
    } else if (nearest) {
      if (passes.length === 0 || nearest.at - passes.at(-1)! >= least) passes.push(nearest.at);
      nearest = undefined;
    }
  }
  return passes;
}

function directionAt(line: readonly Point[], at: number): Point {
  const [from, to] = [line[Math.max(0, at - 2)]!, line[Math.min(line.length - 1, at + 2)]!];
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
  return [(to[0] - from[0]) / length, (to[1] - from[1]) / length];
}

function along(line: readonly Point[], index: number): Point {
  const low = Math.min(line.length - 2, Math.floor(index));
  const share = index - low;
  const [[x0, y0], [x1, y1]] = [line[low]!, line[low + 1]!];
  return [x0 + share * (x1 - x0), y0 + share * (y1 - y0)];
}

/** A closed line under a bell of `SMOOTHED_M`. */
function smoothed(line: readonly Point[]): Point[] {
  const n = line.length;
  const length = line.reduce((sum, [x, y], at) => {
    const [nx, ny] = line[(at + 1) % n]!;
    return sum + Math.hypot(nx - x, ny - y);
  }, 0);
  const sigma = (SMOOTHED_M * n) / length;
  const reach = Math.min(Math.floor(n / 2), Math.ceil(3 * sigma));
  const weights = Array.from({ length: 2 * reach + 1 }, (_, k) =>
    Math.exp(-0.5 * ((k - reach) / sigma) ** 2),
  );
  const sum = weights.reduce((all, one) => all + one, 0);
  return line.map((_, at) => {
    let [x, y] = [0, 0];
    weights.forEach((weight, k) => {
      const [px, py] = line[(at + k - reach + n) % n]!;
      x += weight * px;
      y += weight * py;
    });
    return [x / sum, y / sum];
  });
}

const CM = 100;
const fromFirst = (line: readonly Point[]): [number, number][] => {
  const [x0, y0] = line[0]!;
  return line.map(([x, y]) => [Math.round(CM * (x - x0)) / CM, Math.round(CM * (y - y0)) / CM]);
};
const average = (values: readonly number[]) => values.reduce((sum, one) => sum + one, 0) / values.length;
const middle = (values: readonly number[]) =>
  values.toSorted((a, b) => a - b)[Math.floor((values.length - 1) / 2)] ?? NaN;

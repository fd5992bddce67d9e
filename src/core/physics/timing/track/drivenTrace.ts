import { refusal } from '../../../base/errors';
import { EARTH_M, type KeptPoint } from './gpxSpeed';

declare module '../../../base/errors' {
  interface RefusalFacts {
    'track.standsStill': Record<never, never>;
  }
}

/** How a car was driven, at equal steps of time, without a gap. */
export interface DrivenTrace {
  stepS: number;
  speedMps: number[];
  lateralMps2: number[];
}

const [LEAST_STEP_S, MOST_STEPS] = [1, 600];
/** Slower than this a receiver that lies still still seems to move. */
const STILL_MPS = 0.4;
/** Chords shorter than this say nothing of a bend. */
const LEAST_CHORD_M = 0.8;
/** No car of this size corners harder; what is over it is the receiver's noise. */
const MOST_LATERAL = 20;
const RAD = Math.PI / 180;

/**
 * The kept points of a track as what a pack is driven with: mean speeds of equal steps, so that the way stays what it was,
 * and v²·κ by the circle through three places a step apart. Breaks are closed up; standing before and after is left out.
 *
 * @returns steps in s, speeds in m/s, lateral accelerations in m/s²
 * @throws CalcError at `gpx` for a track that stands still
 */
export function drivenTrace(kept: readonly (readonly KeptPoint[])[]): DrivenTrace {
  const line = closedUp(kept);
  const { tS, wayM } = line;
  const moving = tS.flatMap((t, at) =>
    at > 0 && (wayM[at]! - wayM[at - 1]!) / (t - tS[at - 1]!) > STILL_MPS ? [at] : [],
  );
  if (moving.length === 0) throw refusal('gpx', 'track.standsStill');
  const [startS, endS] = [tS[moving[0]! - 1]!, tS[moving.at(-1)!]!];
  const stepS = Math.max(LEAST_STEP_S, (endS - startS) / MOST_STEPS);
  const steps = Math.max(1, Math.round((endS - startS) / stepS));
  const at = (values: readonly number[]) => (t: number) => interpolated(tS, values, t, startS, endS);
  const [way, east, north] = [at(wayM), at(line.eastM), at(line.northM)];
  const speedMps: number[] = [];
  const lateralMps2: number[] = [];
  for (let k = 0; k <= steps; k++) {
    const t = startS + k * stepS;
    const [from, to] = [Math.max(startS, t - stepS / 2), Math.min(endS, t + stepS / 2)];
    const speed = to > from ? (way(to) - way(from)) / (to - from) : 0;
    const place = (s: number): Point => [east(s), north(s)];
    const bend = curvature(place(t - stepS), place(t), place(t + stepS));
    speedMps.push(rounded(speed));
    lateralMps2.push(rounded(Math.min(MOST_LATERAL, speed ** 2 * bend)));
  }
  return { stepS, speedMps, lateralMps2 };
}

const rounded = (value: number) => Math.round(1000 * value) / 1000;

/** All stretches one after the other on a plane through the first point; a break takes no time and no way. */
export function closedUp(kept: readonly (readonly KeptPoint[])[]) {
  const found = { tS: [] as number[], wayM: [] as number[], eastM: [] as number[], northM: [] as number[] };
  const origin = kept[0]?.[0];
  let [time, way] = [0, 0];
  for (const stretch of kept)
    stretch.forEach(({ stepM, stepS, speedMps, latDeg, lonDeg }, index) => {
      const before = stretch[index - 1];
      if (!before && time > 0) return;
      if (before) {
        const own = speedMps !== undefined && before.speedMps !== undefined;
        time += stepS;
        way += own ? ((speedMps + before.speedMps!) / 2) * stepS : stepM;
      }
      found.tS.push(time);
      found.wayM.push(way);
      found.eastM.push(EARTH_M * (lonDeg - origin!.lonDeg) * RAD * Math.cos(origin!.latDeg * RAD));
      found.northM.push(EARTH_M * (latDeg - origin!.latDeg) * RAD);
    });
  return found;
}

function interpolated(
  tS: readonly number[],
  values: readonly number[],
  asked: number,
  startS: number,
  endS: number,
): number {
  const t = Math.min(endS, Math.max(startS, asked));
  let [low, high] = [0, tS.length - 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (tS[middle]! <= t) low = middle;
    else high = middle;
  }
  const share = high > low ? (t - tS[low]!) / (tS[high]! - tS[low]!) : 0;
  return values[low]! + share * (values[high]! - values[low]!);
}

type Point = readonly [east: number, north: number];

/** Of the circle through three places, 1/m. */
function curvature(a: Point, b: Point, c: Point): number {
  const [ab, bc, ca] = [apart(a, b), apart(b, c), apart(c, a)];
  if (Math.min(ab, bc) < LEAST_CHORD_M) return 0;
  const area = Math.abs((b[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (b[1] - a[1])) / 2;
  return (4 * area) / Math.max(1e-9, ab * bc * ca);
}

const apart = (a: Point, b: Point) => Math.hypot(b[0] - a[0], b[1] - a[1]);

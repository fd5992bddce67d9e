import { readTrack, type Track, type TrackPoint } from './readTrack';
import { type Finding, finding } from '../../../base/finding';
import { type Measure, measure } from '../../../base/measure';

declare module '../../../base/finding' {
  interface FindingFacts {
    'note.track.speeds': { own: boolean };
    'note.track.noise': Record<never, never>;
    'note.track.clockBack': { points: number };
    'note.track.short': { window: Measure };
  }
}

export interface GpxSpeedInput {
  /** Text of a GPX file, or CSV with the headers time,lat,lon[,speed]. */
  gpx: string;
  windowS?: number;
  maxAccelMps2?: number;
}

export interface GpxSpeedResult {
  /** Left out where no stretch is as long as the window. */
  topSpeedMps?: number;
  distanceM: number;
  durationS: number;
  /** Number of points that were left out. */
  droppedPoints: number;
  /** Of every kept point. */
  series: { tS: number[]; distanceM: number[]; speedMps: number[] };
  notes: Finding[];
}

/** A point that was kept, with the step that led to it. */
export interface KeptPoint extends TrackPoint {
  stepM: number;
  stepS: number;
}

export const USUAL_WINDOW_S = 1;
export const USUAL_MAX_ACCEL = 15;
/** Mean radius of the Earth, m. Source: IUGG. */
export const EARTH_M = 6_371_008.8;
const RAD = Math.PI / 180;
const MS_PER_S = 1000;

/**
 * Speed, distance and time from a satellite track: steps too sudden for a car are dropped, the top speed is a mean over a window.
 *
 * @returns m, s and m/s; arrays over the kept points
 * @throws CalcError at `gpx` for broken XML, a file without track or times; the message begins with the line
 * @see Sinnott, Virtues of the Haversine, Sky and Telescope 68 (1984)
 */
export function gpxSpeed({
  gpx,
  windowS = USUAL_WINDOW_S,
  maxAccelMps2 = USUAL_MAX_ACCEL,
}: GpxSpeedInput): GpxSpeedResult {
  const { result } = readSpeeds(readTrack(gpx), windowS, maxAccelMps2);
  return result;
}

/** The same with the kept points, for a picture. */
export function readSpeeds(
  track: Track,
  windowS: number,
  maxAccelMps2: number,
): { result: GpxSpeedResult; kept: KeptPoint[][]; droppedS: number[] } {
  const found = track.map((segment) => withoutJumps(segment, maxAccelMps2));
  const kept = found.map(({ points }) => points).filter(({ length }) => length > 0);
  const all = kept.flat();
  const own = all.every(({ speedMps }) => speedMps !== undefined);
  const top = kept.reduce<number | undefined>((best, segment) => {
    const one = topSpeed(segment, windowS, own);
    return one === undefined || (best !== undefined && best >= one) ? best : one;
  }, undefined);
  const series: GpxSpeedResult['series'] = { tS: [], distanceM: [], speedMps: [] };
  let distanceM = 0;
  const start = all[0]!.atMs;
  for (const segment of kept)
    for (let at = 0; at < segment.length; at++) {
      const point = segment[at]!;
      distanceM += point.stepM;
      series.tS.push((point.atMs - start) / MS_PER_S);
      series.distanceM.push(distanceM);
      const step = at === 0 ? segment[1] : point;
      series.speedMps.push(point.speedMps ?? (step ? step.stepM / step.stepS : 0));
    }
  const backward = found.reduce((sum, { clockBack }) => sum + clockBack, 0);
  const notes = [
    finding('note.track.speeds', { own }),
    finding('note.track.noise', {}),
    ...(backward > 0 ? [finding('note.track.clockBack', { points: backward })] : []),
    ...(top === undefined ? [finding('note.track.short', { window: measure(windowS, 'timeS') })] : []),
  ];
  const droppedS = found.flatMap(({ dropped }) => dropped.map((atMs) => (atMs - start) / MS_PER_S));
  return {
    kept,
    droppedS,
    result: {
      ...(top === undefined ? {} : { topSpeedMps: top }),
      distanceM,
      durationS: (all.at(-1)!.atMs - start) / MS_PER_S,
      droppedPoints: droppedS.length,
      series,
      notes,
    },
  };
}

/** Great-circle distance, m. */
export function haversineM(
  a: Pick<TrackPoint, 'latDeg' | 'lonDeg'>,
  b: Pick<TrackPoint, 'latDeg' | 'lonDeg'>,
): number {
  const [north, east] = [
    Math.sin(((b.latDeg - a.latDeg) * RAD) / 2),
    Math.sin(((b.lonDeg - a.lonDeg) * RAD) / 2),
  ];
  return (
    2 *
    EARTH_M *
    Math.asin(
      Math.min(
        1,
        Math.sqrt(north * north + Math.cos(a.latDeg * RAD) * Math.cos(b.latDeg * RAD) * east * east),
      ),
    )
  );
}

/** In one pass: points of a clock that stands or runs backward are skipped, jumps that go out and come back are dropped. */
function withoutJumps(
  segment: readonly TrackPoint[],
  maxAccelMps2: number,
): { points: KeptPoint[]; dropped: number[]; clockBack: number } {
  const timed: TrackPoint[] = [];
  let clockBack = 0;
  for (const point of segment) {
    const last = timed.at(-1)?.atMs ?? -Infinity;
    if (point.atMs > last) timed.push(point);
    else if (point.atMs < last) clockBack++;
  }
  const steps = Math.max(0, timed.length - 1);
  const [ways, times] = [new Float64Array(steps), new Float64Array(steps)];
  for (let at = 0; at < steps; at++) {
    ways[at] = haversineM(timed[at]!, timed[at + 1]!);
    times[at] = (timed[at + 1]!.atMs - timed[at]!.atMs) / MS_PER_S;
  }
  const exists = (step: number) => step >= 0 && step < steps;
  /** Whether a step is too sudden beside its neighbour; a side that does not exist says nothing. */
  const sudden = (step: number, beside: number) =>
    ways[step]! / times[step]! - ways[beside]! / times[beside]! > maxAccelMps2 * times[step]!;
  const points: KeptPoint[] = [];
  const dropped: number[] = [];
  let before = -1;
  for (let at = 0; at < timed.length; at++) {
    const [into, out] = [exists(at - 1) && exists(at - 2), exists(at) && exists(at + 1)];
    if ((into || out) && (!into || sudden(at - 1, at - 2)) && (!out || sudden(at, at + 1))) {
      dropped.push(timed[at]!.atMs);
      continue;
    }
    const { atMs, latDeg, lonDeg, speedMps } = timed[at]!;
    const last = before < 0 ? undefined : timed[before]!;
    points.push({
      atMs,
      latDeg,
      lonDeg,
      speedMps,
      stepM: !last ? 0 : before === at - 1 ? ways[before]! : haversineM(last, timed[at]!),
      stepS: last ? (atMs - last.atMs) / MS_PER_S : 0,
    });
    before = at;
  }
  return { points, dropped, clockBack };
}

/**
 * The highest mean between two points at least a window apart, in n·log n steps: seen from a later point, the best of the
 * earlier ones lies on the lower hull of way over time, where the slope to it turns (as for segments of maximum average).
 *
 * @see Goldwasser, Kao and Lu, Linear-time algorithms for computing maximum-density sequence segments, 2005
 */
function topSpeed(points: readonly KeptPoint[], windowS: number, own: boolean): number | undefined {
  const windowMs = Math.round(windowS * MS_PER_S);
  const way = [0];
  for (let at = 1; at < points.length; at++) {
    const { stepM, stepS, speedMps } = points[at]!;
    way.push(way[at - 1]! + (own ? ((points[at - 1]!.speedMps! + speedMps!) / 2) * stepS : stepM));
  }
  const mean = (from: number, to: number) =>
    (way[to]! - way[from]!) / ((points[to]!.atMs - points[from]!.atMs) / MS_PER_S);
  const hull: number[] = [];
  let best: number | undefined;
  let next = 0;
  for (let to = 1; to < points.length; to++) {
    for (; next < to && points[to]!.atMs - points[next]!.atMs >= windowMs; next++) {
      while (hull.length > 1 && mean(hull.at(-2)!, hull.at(-1)!) >= mean(hull.at(-1)!, next)) hull.pop();
      hull.push(next);
    }
    if (hull.length === 0) continue;
    let [low, high] = [0, hull.length - 1];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (mean(hull[middle]!, hull[middle + 1]!) < mean(hull[middle]!, to)) low = middle + 1;
      else high = middle;
    }
    for (const at of [low - 1, low, low + 1]) {
      const from = hull[at];
      if (from !== undefined && (best === undefined || mean(from, to) > best)) best = mean(from, to);
    }
  }
  return best;
}

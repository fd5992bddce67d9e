import type { Assembled } from '../../base/assembled';
import type { ChosenSurface, TrackLine, TrackSegment } from '../../car/document/brief';
import { USUAL_USABLE_SHARE } from '../../car/document/power';
import type { BuildDocument } from '../../car/document/document';
import { type Crossing, crossingOf } from '../../physics/laps/crossing';
import type { LappedResult } from '../../physics/laps/lap';
import { hasRound, lapDriven } from '../track/lapDriven';
import { worked } from '../worked';

export interface LapOfBuild {
  segments: readonly TrackSegment[];
  lap: LappedResult;
  /** At each point of the lap's series, m, from the start along x. */
  plan: readonly (readonly [x: number, y: number])[];
  /** Of each segment, s; none of a car that stops on the way. */
  segmentS?: number[];
  /** Of the charge that is used; none of a car that stops on the way, or that takes nothing from its pack. */
  lapsPerPack?: number;
  /** How far the end lies from the start, m, and how far it points another way, degrees. */
  gap: { m: number; deg: number };
  /** Where the line comes over itself. */
  crossing?: Crossing;
}

/** A lap of the build's own track, with the losses of an ordinary car. */
export function lapOf(document: BuildDocument, surface: ChosenSurface | undefined): Assembled<LapOfBuild> {
  const run = worked(document, surface).runInput();
  const { track = {} } = document.brief;
  const missing = [...(run.ok ? [] : run.missing), ...(hasRound(track) ? [] : ['brief.track.segments'])];
  if (!run.ok || missing.length > 0) return { ok: false, missing };
  const lap = lapDriven(document, run.value);
  const { lapsPerPack } = lap;
  const { usableShare = USUAL_USABLE_SHARE } = document.power;
  return {
    ok: true,
    value: {
      lap,
      ...(lapsPerPack === undefined ? {} : { lapsPerPack: lapsPerPack * usableShare }),
      ...(track.line ? onLine(track.line, lap) : onSegments(track.segments!, lap)),
    },
  };
}

type Plan = Omit<LapOfBuild, 'lap' | 'lapsPerPack'>;

function onSegments(segments: readonly TrackSegment[], lap: LappedResult): Plan {
  const whole = planOf(segments, [lap.lengthM]);
  const [end] = whole.points;
  const drawn = planOf(segments, evenly(lap.lengthM)).points;
  const crossing = crossingOf(drawn, false);
  return {
    segments,
    plan: planOf(segments, lap.series?.sM ?? evenly(lap.lengthM)).points,
    ...(lap.series ? { segmentS: timesOf(segments, lap.series) } : {}),
    gap: { m: Math.hypot(...end!), deg: offFull(whole.turned) },
    ...(crossing ? { crossing } : {}),
  };
}

function onLine({ pointsM, closed }: TrackLine, lap: LappedResult): Plan {
  const crossing = crossingOf(pointsM, closed);
  return {
    segments: [],
    plan: lineAt(closed ? [...pointsM, pointsM[0]!] : pointsM, lap.series?.sM ?? evenly(lap.lengthM)),
    gap: { m: 0, deg: 0 },
    ...(crossing ? { crossing } : {}),
  };
}

/** Places along a line, ways rising. */
function lineAt(line: readonly (readonly [number, number])[], ways: readonly number[]): [number, number][] {
  let at = 0;
  let start = 0;
  const lengthOf = (edge: number) =>
    Math.hypot(line[edge + 1]![0] - line[edge]![0], line[edge + 1]![1] - line[edge]![1]);
  let length = lengthOf(0);
  return ways.map((way) => {
    while (at < line.length - 2 && way > start + length) {
      start += length;
      length = lengthOf(++at);
    }
    const share = Math.min(1, (way - start) / length);
    const [[x0, y0], [x1, y1]] = [line[at]!, line[at + 1]!];
    return [x0 + share * (x1 - x0), y0 + share * (y1 - y0)];
  });
}

const PLAN_POINTS = 200;
const evenly = (lengthM: number) =>
  Array.from({ length: PLAN_POINTS + 1 }, (_, at) => (lengthM * at) / PLAN_POINTS);

/** Places along the track as it is drawn, and by how much it has turned at its end, rad. */
export function planOf(segments: readonly TrackSegment[], ways: readonly number[]) {
  const points: [number, number][] = [];
  let [x, y, heading, start] = [0, 0, 0, 0];
  let next = 0;
  segments.forEach(({ lengthM, radiusM, turn }, index) => {
    const bend = radiusM === undefined ? 0 : (turn === 'right' ? -1 : 1) / radiusM;
    const at = (s: number): [number, number] =>
      bend === 0
        ? [x + s * Math.cos(heading), y + s * Math.sin(heading)]
        : [
            x + (Math.sin(heading + bend * s) - Math.sin(heading)) / bend,
            y - (Math.cos(heading + bend * s) - Math.cos(heading)) / bend,
          ];
    const last = index === segments.length - 1;
    for (; next < ways.length && (last || ways[next]! < start + lengthM); next++)
      points.push(at(Math.min(lengthM, ways[next]! - start)));
    [x, y] = at(lengthM);
    heading += bend * lengthM;
    start += lengthM;
  });
  return { points, turned: heading };
}

/** How far a turn is from a whole one either way, or from none, degrees. */
function offFull(turned: number): number {
  const rounds = Math.abs(turned) / (2 * Math.PI);
  return 360 * Math.abs(rounds - Math.round(rounds));
}

function timesOf(segments: readonly TrackSegment[], { sM, tS }: { sM: number[]; tS: number[] }): number[] {
  let end = 0;
  let before = 0;
  let node = 0;
  return segments.map(({ lengthM }) => {
    end += lengthM;
    while (node < sM.length - 1 && sM[node]! < end - 1e-9) node++;
    const took = tS[node]! - before;
    before = tS[node]!;
    return took;
  });
}

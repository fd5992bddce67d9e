import type { Assembled } from '../../base/assembled';
import type { ChosenSurface, TrackSegment } from '../../car/document/brief';
import { USUAL_USABLE_SHARE } from '../../car/document/power';
import type { BuildDocument } from '../../car/document/document';
import type { DriveLapResult } from '../../physics/laps/lap';
import { lapDriven } from '../track/lapDriven';
import { worked } from '../worked';

export interface LapOfBuild {
  segments: readonly TrackSegment[];
  lap: DriveLapResult;
  /** At each point of the lap's series, m, from the start along x. */
  plan: readonly (readonly [x: number, y: number])[];
  /** Of each segment, s; none of a car that stops on the way. */
  segmentS?: number[];
  /** Of the charge that is used; none of a car that stops on the way, or that takes nothing from its pack. */
  lapsPerPack?: number;
  /** How far the end lies from the start, m, and how far it points another way, degrees. */
  gap: { m: number; deg: number };
}

/** A lap of the build's own track, with the losses of an ordinary car. */
export function lapOf(document: BuildDocument, surface: ChosenSurface | undefined): Assembled<LapOfBuild> {
  const run = worked(document, surface).runInput();
  const { segments = [] } = document.brief.track ?? {};
  const missing = [
    ...(run.ok ? [] : run.missing),
    ...(segments.length === 0 ? ['brief.track.segments'] : []),
  ];
  if (!run.ok || segments.length === 0) return { ok: false, missing };
  const lap = lapDriven(document, run.value);
  const whole = planOf(segments, [lap.lengthM]);
  const [end] = whole.points;
  return {
    ok: true,
    value: {
      segments,
      lap,
      plan: planOf(segments, lap.series?.sM ?? evenly(lap.lengthM)).points,
      ...(lap.lapsPerPack === undefined
        ? {}
        : { lapsPerPack: lap.lapsPerPack * (document.power.usableShare ?? USUAL_USABLE_SHARE) }),
      ...(lap.series ? { segmentS: timesOf(segments, lap.series) } : {}),
      gap: { m: Math.hypot(...end!), deg: offFull(whole.turned) },
    },
  };
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

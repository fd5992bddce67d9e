import { keepLast } from '../../base/kept';
import type { BuildDocument } from '../../car/document/document';
import type { Track } from '../../car/document/brief';
import type { TrackDefinition } from '../../physics/laps/definition';
import { type LappedResult, lapped, type DriveLapResult } from '../../physics/laps/lap';
import type { TraceSeries } from '../../physics/heat/trace';
import type { RunAndLap } from '../motion/runOfBuild';
import { auxiliaryOf } from '../power/auxiliaryOfBuild';
import { brakesOf } from './brakesOfBuild';

export const USUAL_STYLE = 0.9;

const keep = keepLast<LappedResult>(20);

/** Whether there is a round to drive. */
export const hasRound = (track: Track | undefined): boolean =>
  track?.line !== undefined || (track?.segments?.length ?? 0) > 0;

/** The round as a lap takes it. */
function roundOf({ segments = [], line }: Track): TrackDefinition {
  if (line) return { closed: line.closed, pointsM: line.pointsM };
  return {
    segments: segments.map(({ lengthM, radiusM, gradePct }) => ({
      lengthM,
      ...(radiusM === undefined ? {} : { radiusM }),
      ...(gradePct === undefined ? {} : { gradePct }),
    })),
  };
}

/** A lap of the build's own round, with typical losses and what hangs on its pack; kept for the pages and checks that ask again. */
export function lapDriven(document: BuildDocument, run: RunAndLap): LappedResult {
  const { track = {} } = document.brief;
  const { style = USUAL_STYLE } = track;
  const input = {
    ...run,
    track: roundOf(track),
    drivingStyle: style,
    brake: brakesOf(document),
    losses: { auxiliaryA: auxiliaryOf(document) },
  };
  return keep(JSON.stringify(input), () => lapped(input, 1));
}

/** A lap is followed in steps of this, s: a tenth of the points, and the minutes of a pack within 0.3 %. */
const TRACE_STEP_S = 0.1;

/** A lap as what a pack is driven with. */
export function lapTrace({
  tS,
  speedMps,
  lateralMps2,
  gradePct,
}: NonNullable<DriveLapResult['series']>): TraceSeries {
  const lapS = tS.at(-1)!;
  const steps = Math.max(2, Math.round(lapS / TRACE_STEP_S));
  const times = Array.from({ length: steps + 1 }, (_, at) => (lapS * at) / steps);
  let next = 1;
  const places = times.map((t) => {
    while (next < tS.length - 1 && tS[next]! < t) next++;
    return { next, share: (t - tS[next - 1]!) / (tS[next]! - tS[next - 1]!) };
  });
  const at = (values: readonly number[]) =>
    places.map((place) => {
      const [from, to] = [values[place.next - 1]!, values[place.next]!];
      return from + place.share * (to - from);
    });
  return { tS: times, speedMps: at(speedMps), lateralMps2: at(lateralMps2), gradePct: at(gradePct) };
}

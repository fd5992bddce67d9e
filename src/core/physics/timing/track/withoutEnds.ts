import { EARTH_M, haversineM } from './gpxSpeed';
import type { Track, TrackPoint } from './readTrack';

/** Of the way at either end, m; of a short track no more than a share of it. */
export const [CUT_M, MOST_CUT] = [50, 0.25];
const RAD = Math.PI / 180;

/**
 * A track for others to see: both ends are cut off, and the rest lies about the first point that is left, at the crossing of
 * equator and prime meridian and with a clock that starts at zero, so that it tells the way that was driven and neither where nor when.
 *
 * @returns the same stretches in the local plane, whose lengths are those on the globe to (way/Earth's radius)²
 */
export function withoutEnds(track: Track): Track {
  const wayM = track.map(waysOf);
  const total = wayM.reduce((sum, ways) => sum + (ways.at(-1) ?? 0), 0);
  const cut = Math.min(CUT_M, MOST_CUT * total);
  let before = 0;
  const left = track.map((segment, at) => {
    const from = before;
    before += wayM[at]!.at(-1) ?? 0;
    return segment.filter((_, index) => {
      const way = from + wayM[at]![index]!;
      return way >= cut && way <= total - cut;
    });
  });
  const first = left.find(({ length }) => length > 0)?.[0];
  return first ? left.filter(({ length }) => length > 0).map((segment) => segment.map(about(first))) : [];
}

/** The way to each point of a stretch from its first, m. */
function waysOf(segment: readonly TrackPoint[]): number[] {
  const ways: number[] = [];
  for (const [at, point] of segment.entries())
    ways.push(at === 0 ? 0 : ways[at - 1]! + haversineM(segment[at - 1]!, point));
  return ways;
}

const about =
  (first: TrackPoint) =>
  ({ atMs, latDeg, lonDeg, speedMps }: TrackPoint): TrackPoint => {
    const eastward = ((lonDeg - first.lonDeg + 540) % 360) - 180;
    const north = (latDeg - first.latDeg) * RAD * EARTH_M;
    const east = eastward * RAD * EARTH_M * Math.cos(first.latDeg * RAD);
    return {
      atMs: atMs - first.atMs,
      latDeg: north / EARTH_M / RAD,
      lonDeg: east / EARTH_M / RAD,
      ...(speedMps === undefined ? {} : { speedMps }),
    };
  };

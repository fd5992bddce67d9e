import { EARTH_M, type GpxSpeedResult, type KeptPoint } from './gpxSpeed';

export interface TrackPlan {
  eastM: Float32Array<ArrayBuffer>;
  northM: Float32Array<ArrayBuffer>;
  tS: Float32Array<ArrayBuffer>;
  speedMps: Float32Array<ArrayBuffer>;
  /** Index of the first point of each stretch. */
  starts: number[];
}

const RAD = Math.PI / 180;

/**
 * Kept points on a plane through the first (equirectangular, within 1e-4 over a few km), every n-th where
 * there are too many; the fastest of each stretch stays.
 */
export function planOf(
  kept: readonly (readonly KeptPoint[])[],
  series: GpxSpeedResult['series'],
  most: number,
): TrackPlan {
  const origin = kept[0]![0]!;
  const every = Math.max(1, Math.ceil(series.tS.length / most));
  const chosen: { point: KeptPoint; at: number }[] = [];
  const starts: number[] = [];
  let offset = 0;
  for (const segment of kept) {
    starts.push(chosen.length);
    const fastest = segment.reduce(
      (best, _, at) => (series.speedMps[offset + at]! > series.speedMps[offset + best]! ? at : best),
      0,
    );
    segment.forEach((point, at) => {
      if (at % every === 0 || at === segment.length - 1 || at === fastest)
        chosen.push({ point, at: offset + at });
    });
    offset += segment.length;
  }
  const pick = (of: (one: (typeof chosen)[number]) => number) => Float32Array.from(chosen, of);
  return {
    eastM: pick(
      ({ point }) => EARTH_M * (point.lonDeg - origin.lonDeg) * RAD * Math.cos(origin.latDeg * RAD),
    ),
    northM: pick(({ point }) => EARTH_M * (point.latDeg - origin.latDeg) * RAD),
    tS: pick(({ at }) => series.tS[at]!),
    speedMps: pick(({ at }) => series.speedMps[at]!),
    starts,
  };
}

import { cubicBetween } from '../../base/numeric/cubic';
import { accelMps2, type Plant } from '../motion/plant';

export interface RunUp {
  distanceM: number;
  timeS: number;
}

const INTERVALS = 2000;

/**
 * How far and long a car runs at full throttle from rest to any speed up to the fastest (m/s, under its top speed).
 * In steps of the speed by Simpson's rule: dt = dv/a, dx = v·dv/a; between two speeds the cubic through values and slopes.
 */
export function runUpsOf(plant: Plant, fastestMps: number): (speedMps: number) => RunUp {
  const width = fastestMps / INTERVALS;
  const distances = new Float64Array(INTERVALS + 1);
  const times = new Float64Array(INTERVALS + 1);
  const accels = Float64Array.from({ length: INTERVALS + 1 }, (_, at) => accelMps2(plant, at * width));
  for (let at = 0; at < INTERVALS; at++) {
    const v = at * width;
    const middle = accelMps2(plant, v + width / 2);
    times[at + 1] = times[at]! + (width / 6) * (1 / accels[at]! + 4 / middle + 1 / accels[at + 1]!);
    distances[at + 1] =
      distances[at]! +
      (width / 6) * (v / accels[at]! + (4 * (v + width / 2)) / middle + (v + width) / accels[at + 1]!);
  }
  return (speedMps) => ({
    distanceM: cubicBetween(distances, (at) => (at * width) / accels[at]!, width, speedMps),
    timeS: cubicBetween(times, (at) => 1 / accels[at]!, width, speedMps),
  });
}

import { bisect } from '../../base/numeric/root';
import { accelMps2, noLoadMps, type Plant } from './plant';

const SCAN = 48;
const FASTEST_MPS = 1000;

/**
 * Smallest speed at which a car that starts from rest stops gaining, m/s; it may lie above the no-load speed on a downhill.
 *
 * @returns 0 where it does not get under way, undefined where none exists up to 1000 m/s
 */
export function topSpeed(plant: Plant): number | undefined {
  if (accelMps2(plant, 0) <= 0) return 0;
  const noLoad = noLoadMps(plant);
  const step = noLoad / SCAN;
  let low = 0;
  for (let high = step; low < FASTEST_MPS; high = high < noLoad ? high + step : high * 1.1) {
    if (accelMps2(plant, high) <= 0) return bisect((v) => (accelMps2(plant, v) > 0 ? 1 : -1), low, high);
    low = high;
  }
  return undefined;
}

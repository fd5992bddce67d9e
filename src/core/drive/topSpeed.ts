import { bisect } from '../numeric/root';
import { accelerationOf, noLoadMps, type Plant } from './plant';

const SCAN = 48;
const FASTEST_MPS = 1000;

/**
 * Smallest positive speed at which a moving car stops gaining, m/s; it may lie above the no-load speed on a downhill.
 *
 * @returns undefined where none exists up to 1000 m/s
 */
export function topSpeed(plant: Plant): number | undefined {
  const accel = accelerationOf(plant);
  const noLoad = noLoadMps(plant);
  const step = noLoad / SCAN;
  let low = 0;
  for (let high = step; low < FASTEST_MPS; high = high < noLoad ? high + step : high * 1.1) {
    if (accel(high) <= 0) return bisect((v) => (accel(v) > 0 ? 1 : -1), low, high);
    low = high;
  }
  return undefined;
}

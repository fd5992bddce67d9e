import { bisect } from '../numeric/root';
import type { Plant } from './plant';

const SCAN = 200;
const FASTEST_MPS = 1000;

/**
 * Smallest positive speed at which a moving car stops gaining, m/s; it may lie above the no-load speed on a downhill.
 *
 * @returns undefined where none exists up to 1000 m/s
 */
export function topSpeed(plant: Plant): number | undefined {
  const step = plant.noLoadSpeedMps / SCAN;
  let low = 0;
  for (let high = step; low < FASTEST_MPS; high = high < plant.noLoadSpeedMps ? high + step : high * 1.1) {
    if (plant.accelMps2(high) <= 0) return bisect((v) => (plant.accelMps2(v) > 0 ? 1 : -1), low, high);
    low = high;
  }
  return undefined;
}

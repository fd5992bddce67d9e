import { GRAVITY } from '../../base/constants';

/**
 * Force on the one wheel that lands first: half of what stops the whole car over its travel, 2·m·g·(h + s)/s with a force
 * that rises linearly.
 *
 * @param dropM fall, m
 * @param stopM travel that stops it, m
 * @returns N
 * @see Young and Budynas, Roark's Formulas for Stress and Strain, ch. 16 (elastic impact)
 */
export const landingOneWheelN = (massKg: number, dropM: number, stopM: number): number =>
  (massKg * GRAVITY * (dropM + stopM)) / stopM;

/**
 * Force of a kerb on one wheel that stops half the car over a length: (m/2)·v²/s.
 *
 * @returns N
 */
export const kerbStrikeN = (massKg: number, speedMps: number, stopM: number): number =>
  ((massKg / 2) * speedMps ** 2) / stopM;

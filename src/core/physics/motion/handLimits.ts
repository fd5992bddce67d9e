import type { DriveRunInput } from './definition';
import { createPlant, currentOf, resistanceN, tractionN } from './plant';
import { topSpeed } from './topSpeed';

/**
 * Motor current at which the wheels just break loose from a standstill: what carries the tyres' force and the turning parts
 * at the acceleration that it gives.
 *
 * @returns A, of one motor; undefined where the tyres carry less than the resistance
 */
export function breakawayCurrentA(input: DriveRunInput): number | undefined {
  const plant = createPlant(input);
  const resistance = resistanceN(plant, 0);
  const spare = tractionN(plant, 0) - resistance;
  if (spare <= 0) return undefined;
  return currentOf(plant, resistance + (spare * plant.effectiveMassKg) / plant.massKg, 0);
}

const HALVINGS = 40;

/**
 * Share of the throttle whose top speed is the wished one, by halving.
 *
 * @returns undefined where full throttle does not reach it
 */
export function throttleForSpeed(input: DriveRunInput, speedMps: number): number | undefined {
  const top = (throttle: number) => topSpeed(createPlant({ ...input, throttle })) ?? Infinity;
  if (top(1) < speedMps) return undefined;
  let low = 0;
  let high = 1;
  for (let i = 0; i < HALVINGS && high - low > 1e-6; i++) {
    const middle = 0.5 * (low + high);
    if (top(middle) < speedMps) low = middle;
    else high = middle;
  }
  return high;
}

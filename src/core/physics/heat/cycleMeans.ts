import {
  arrivalIn,
  canHold,
  type CycleDefinition,
  holdableMps,
  holdingA,
  launchStep,
  launchStepS,
  MEAN_A2,
  MEAN_PACK_A,
  MEAN_V,
  newStretch,
  NEXT_V,
  packFor,
} from '../motion/cruise';
import { accelMps2, emfAt, type Plant } from '../motion/plant';

/** Means over one cycle, its start and its rest included. */
export interface CycleMeans {
  /** Square of one motor's current, A². */
  currentSquared: number;
  /** Idling losses of one motor, W. */
  frictionW: number;
  speedMps: number;
  batteryA: number;
}

const stretch = newStretch();

/**
 * One cycle at constant charge and winding temperature; with no rest the cruise alone. The pack's current is that of a pack
 * at `packV`.
 *
 * @returns undefined for a car that cannot move
 */
export function cycleMeans(
  plant: Plant,
  { cruiseMps, cruiseS, restS = 0 }: CycleDefinition,
  packV: number,
): CycleMeans | undefined {
  if (accelMps2(plant, 0) <= 0) return undefined;
  const held = canHold(plant, cruiseMps) ? cruiseMps : Math.min(cruiseMps, holdableMps(plant));
  const amps = holdingA(plant, held);
  const friction = (v: number) => plant.idleA * emfAt(plant, v);
  const cruise = {
    currentSquared: amps * amps,
    frictionW: amps === 0 ? 0 : friction(held),
    speedMps: held,
    batteryA: packFor(plant, amps, held, packV),
  };
  if (restS === 0) return cruise;

  let seconds = 0,
    squares = 0,
    way = 0,
    packAs = 0;
  for (let v = 0, arrived = false; !arrived;) {
    const step = launchStepS(plant, v);
    launchStep(plant, v, step, packV, stretch);
    const arrival = arrivalIn(plant, v, stretch[NEXT_V]!, cruiseMps);
    arrived = arrival <= 1;
    const dt = arrived ? arrival * step : step;
    if (dt < step) launchStep(plant, v, dt, packV, stretch);
    v = stretch[NEXT_V]!;
    seconds += dt;
    squares += dt * stretch[MEAN_A2]!;
    way += dt * stretch[MEAN_V]!;
    packAs += dt * stretch[MEAN_PACK_A]!;
  }
  const whole = seconds + cruiseS + restS;
  return {
    currentSquared: (squares + cruiseS * cruise.currentSquared) / whole,
    frictionW: (friction(way) + cruiseS * cruise.frictionW) / whole,
    speedMps: (way + cruiseS * held) / whole,
    batteryA: (packAs + cruiseS * cruise.batteryA) / whole,
  };
}

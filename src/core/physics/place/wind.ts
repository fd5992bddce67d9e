import { bisect } from '../../base/numeric/root';
import type { DriveRunInput } from '../motion/definition';
import { accelMps2, createPlant, noLoadMps, type Plant } from '../motion/plant';

/** Top speeds of a car along and against a wind. */
export interface SpeedsInWind {
  againstMps: number;
  withMps: number;
  stillMps: number;
  /** Way over time of a pass each way. */
  bothMps: number;
}

const SCAN = 200;

/**
 * Top speeds both ways on a straight in a wind along it: drag and downforce go with the square of the speed through the
 * air, everything else with that over the ground.
 *
 * @param windMps along the straight, m/s
 * @returns m/s over the ground; undefined where the car does not move or has no top speed one way
 * @see Hucho, Aerodynamics of Road Vehicles, ch. 4 (resistance in wind)
 */
export function speedsInWind(input: DriveRunInput, windMps: number): SpeedsInWind | undefined {
  const plant = createPlant(input);
  const [againstMps, withMps, stillMps] = [windMps, -windMps, 0].map((wind) => topInWind(plant, wind));
  if (!againstMps || !withMps || !stillMps) return undefined;
  return { againstMps, withMps, stillMps, bothMps: 2 / (1 / againstMps + 1 / withMps) };
}

/** Smallest speed at which it no longer gains; none where it does not get under way or always gains. */
function topInWind(plant: Plant, headwindMps: number): number | undefined {
  const gains = (v: number) => accelMps2(inWind(plant, v, headwindMps), v) > 0;
  const step = noLoadMps(plant) / SCAN;
  let low = step / 100;
  if (!gains(low)) return undefined;
  for (let high = step; high < 3 * noLoadMps(plant); high += step) {
    if (!gains(high)) return bisect((v) => (gains(v) ? 1 : -1), low, high);
    low = high;
  }
  return undefined;
}

/** The air of one speed over the ground in terms of that speed. */
function inWind(plant: Plant, v: number, headwindMps: number): Plant {
  const through = (v + headwindMps) / v;
  const [drag, down] = [through * Math.abs(through), through * through];
  const { road } = plant;
  return {
    ...plant,
    road: {
      ...road,
      dragPerQ: drag * road.dragPerQ,
      downPerQ: down * road.downPerQ,
      gripPerQ: down * road.gripPerQ,
      liftPerQ: down * road.liftPerQ,
    },
  };
}

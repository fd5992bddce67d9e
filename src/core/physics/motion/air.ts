import type { DriveRunInput } from './definition';
import { createPlant, resistanceN, tractionN } from './plant';
import { bisect } from '../../base/numeric/root';

export interface Air {
  speedMps: number[];
  gripN: number[];
  resistanceN: number[];
  /** Speed from which even full grip no longer overcomes drag; left out where there is none. */
  outrunMps?: number;
}

const POINTS = 61;
/** Faster than any such car, m/s. */
const FASTEST_MPS = 200;

/**
 * Grip of the driven tyres and all resistance over speed, up to a little past where drag outruns grip.
 *
 * @returns speeds in m/s, forces in N
 * @see Milliken, Race Car Vehicle Dynamics, ch. 3
 */
export function airOf(input: DriveRunInput): Air {
  const plant = createPlant(input);
  const spare = (v: number) => tractionN(plant, v) - resistanceN(plant, v);
  const outrunMps = spare(0) > 0 && spare(FASTEST_MPS) < 0 ? bisect(spare, 0, FASTEST_MPS) : undefined;
  const end = outrunMps === undefined ? 60 : 1.15 * outrunMps;
  const speedMps = Array.from({ length: POINTS }, (_, index) => (end * index) / (POINTS - 1));
  return {
    speedMps,
    gripN: speedMps.map((v) => tractionN(plant, v)),
    resistanceN: speedMps.map((v) => resistanceN(plant, v)),
    ...(outrunMps === undefined ? {} : { outrunMps }),
  };
}

/**
 * Grip of the driven tyres and all resistance at one speed.
 *
 * @param mps speed, m/s
 * @returns forces in N
 */
export function airAt(input: DriveRunInput, mps: number): { gripN: number; resistanceN: number } {
  const plant = createPlant(input);
  return { gripN: tractionN(plant, mps), resistanceN: resistanceN(plant, mps) };
}

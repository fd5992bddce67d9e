import { cubicBetween } from '../../base/numeric/cubic';
import { decelAt } from './brakeMoment';
import type { Brakes } from './brakes';
import { coasted, LEAST_MPS2, LONGEST_S } from './slow';

export interface Stop {
  distanceM: number;
  timeS: number;
}

const INTERVALS = 1000;

/**
 * How far a car goes until it stands, from any speed up to the fastest (m/s): the throttle closed first, then the brake on.
 *
 * @returns nothing for a speed from which it does not stop within 600 s
 */
export function stopsOf(
  b: Brakes,
  fastestMps: number,
  coastS: number,
): (speedMps: number) => Stop | undefined {
  // downhill it may gain while it coasts
  const peakMps = Math.max(fastestMps, coasted(b, fastestMps, 0, coastS).speedMps);
  const width = peakMps / INTERVALS;
  const distances = new Float64Array(INTERVALS + 1);
  const times = new Float64Array(INTERVALS + 1);
  const decels = new Float64Array(INTERVALS + 1);
  const slows = (speedMps: number) => decelAt(b, speedMps, true);
  decels[0] = slows(0);
  let stopping = decels[0]! < LEAST_MPS2 ? 0 : INTERVALS;
  for (let at = 0; at < stopping; at++) {
    const [v, above] = [at * width, (at + 1) * width];
    const [middle, end] = [slows(v + width / 2), slows(above)];
    if (Math.min(middle, end) < LEAST_MPS2) stopping = at;
    decels[at + 1] = end;
    times[at + 1] = times[at]! + (width / 6) * (1 / decels[at]! + 4 / middle + 1 / end);
    distances[at + 1] =
      distances[at]! + (width / 6) * (v / decels[at]! + (4 * (v + width / 2)) / middle + above / end);
  }
  return (speedMps) => {
    const start = coasted(b, speedMps, 0, coastS);
    if (start.speedMps > stopping * width * (1 + 1e-12)) return undefined;
    const timeS =
      start.timeS +
      (start.speedMps > 0 ? cubicBetween(times, (at) => 1 / decels[at]!, width, start.speedMps) : 0);
    if (timeS > LONGEST_S) return undefined;
    return {
      timeS,
      distanceM:
        start.distanceM +
        (start.speedMps > 0
          ? cubicBetween(distances, (at) => (at * width) / decels[at]!, width, start.speedMps)
          : 0),
    };
  };
}

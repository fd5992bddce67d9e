import { axlesAt } from './axles';
import type { SteadyInput } from './definition';
import { setupOf } from './setup';

export interface GustResult {
  /** To lee of the line, at the end of the time and the largest heading away from it. */
  asideM: number;
  headingDeg: number;
}

const STEP_S = 5e-4;

/**
 * A gust from the side that lasts, the steering held straight: slide and yaw by the linear bicycle, the side force of the air by
 * its own angle of flow. Explicit steps of half a millisecond, far under the time constants of such cars.
 *
 * @param gustMps across, m/s
 * @returns the way aside in m after so many seconds, and the heading in degrees
 * @see Gillespie, Fundamentals of Vehicle Dynamics, ch. 4; Milliken and Milliken, ch. 5
 */
export function gustAside(input: SteadyInput, gustMps: number, seconds: number): GustResult {
  const setup = setupOf(input);
  const { massKg, inertia, wheelbase, frontLoadShare, sideM2, pressureX, airDensity } = setup;
  const v = input.speedMps;
  const { front, rear } = axlesAt(setup, v);
  const [a, b] = [(1 - frontLoadShare) * wheelbase, frontLoadShare * wheelbase];
  const side = ((airDensity * v ** 2) / 2) * sideM2;
  const ahead = pressureX + a;
  let [slide, yaw, heading, aside] = [0, 0, 0, 0];
  const steps = Math.ceil(seconds / STEP_S);
  const h = seconds / steps;
  for (let k = 0; k < steps; k++) {
    const forceFront = (-front.corneringNPerRad * (slide + a * yaw)) / v;
    const forceRear = (-rear.corneringNPerRad * (slide - b * yaw)) / v;
    const forceAir = (side * (gustMps - slide)) / v;
    aside += h * (slide + v * Math.sin(heading));
    heading += h * yaw;
    slide += h * ((forceFront + forceRear + forceAir) / massKg - v * yaw);
    yaw += (h * (a * forceFront - b * forceRear + ahead * forceAir)) / inertia;
  }
  return { asideM: aside, headingDeg: (heading * 180) / Math.PI };
}

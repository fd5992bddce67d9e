/** Air at 30 °C: conductivity, W/(m K), kinematic viscosity and thermal diffusivity, m²/s. Source: Incropera, table A.4. */
export const AIR = { conductivity: 0.0265, viscosity: 16e-6, diffusivity: 22.9e-6, prandtl: 0.707 };

/** What lets the wind to the motor: an open deck, a closed shell, one with openings, and a duct that leads it there. */
export const BODIES = ['open', 'vents', 'duct', 'closed'] as const;
export type Body = (typeof BODIES)[number];

/** Share of the car's speed with which air passes the motor, first guesses: as it is taken, and between what it may lie. */
export const AIR_SHARE: Readonly<Record<Body, { is: number; from: number; to: number }>> = {
  open: { is: 0.3, from: 0.15, to: 0.5 },
  vents: { is: 0.15, from: 0.08, to: 0.25 },
  duct: { is: 0.6, from: 0.4, to: 0.8 },
  closed: { is: 0.05, from: 0.02, to: 0.1 },
};
/** Speed of the car at which the line of what the wind takes away meets the curve, m/s. */
export const REFERENCE_MPS = 5;
/** What a bare case gives off in still air by convection and radiation, W/(m² K). */
export const STILL_W_PER_M2K = 12;

/** Hilpert's constants by the Reynolds number from which they hold. Source: Incropera, table 7.2. */
const HILPERT = [
  { from: 40_000, c: 0.027, m: 0.805 },
  { from: 4000, c: 0.193, m: 0.618 },
  { from: 40, c: 0.683, m: 0.466 },
  { from: 0, c: 0.911, m: 0.385 },
] as const;

/** Convection from a cylinder across a stream, W/(m² K), at a diameter in m and a speed in m/s. */
export function crossFlow(diameterM: number, speedMps: number): number {
  const reynolds = (speedMps * diameterM) / AIR.viscosity;
  const { c, m } = HILPERT.find(({ from }) => reynolds >= from)!;
  return (c * reynolds ** m * AIR.prandtl ** (1 / 3) * AIR.conductivity) / diameterM;
}

/**
 * How much more a motor's case gives off for every m/s of the car, share: the line through the cross-flow figure at 5 m/s,
 * for the part of the wind that reaches the motor.
 *
 * @see Incropera, Fundamentals of Heat and Mass Transfer, eq. 7.52 (Hilpert)
 */
export function coolingPerMps(diameterMm: number, body: Body): number {
  const gain = crossFlow(diameterMm / 1000, REFERENCE_MPS) / STILL_W_PER_M2K - 1;
  return (AIR_SHARE[body].is * Math.max(0, gain)) / REFERENCE_MPS;
}

/**
 * What is not known of the wind at the motor, as one standard deviation over what its case gives off at 5 m/s: a quarter of
 * the range of the share.
 *
 * @param perMps what the case gives off more for every m/s, share
 */
export function windSpread(body: Body, perMps: number): number {
  const { is, from, to } = AIR_SHARE[body];
  const moving = perMps * REFERENCE_MPS;
  return ((moving / (1 + moving)) * (to - from)) / 4 / is;
}

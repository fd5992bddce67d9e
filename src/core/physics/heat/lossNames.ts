/** Where the energy of a pack went, Wh. */
export const LOSS_NAMES = [
  'rolling',
  'drag',
  'slope',
  'cornering',
  'driveline',
  'slip',
  'copper',
  'noLoad',
  'controller',
  'pack',
  'auxiliary',
  'brakes',
] as const;
export type LossName = (typeof LOSS_NAMES)[number];

/** Every loss at nothing. */
export const noLosses = () =>
  Object.fromEntries(LOSS_NAMES.map((name) => [name, 0])) as Record<LossName, number>;

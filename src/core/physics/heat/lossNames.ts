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

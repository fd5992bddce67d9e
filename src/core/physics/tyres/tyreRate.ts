import type { TyreKind } from './tyreSpin';

/**
 * Rate of a tyre of 1:10 on flat ground, N/mm: half a kilogram squashes a foamed or hollow one by less than a millimetre. By
 * judgement; weigh your own: the load over how much the axle sinks.
 */
export const TYRE_RATE_N_PER_MM: Readonly<Record<Exclude<TyreKind, 'own'>, number>> = {
  'solid rubber': 10,
  belted: 12,
  foam: 15,
  'printed flexible': 20,
};

/** Of rubber on its rim, N s/m; a tenth of critical for the wheel of a 1:10 car. By judgement. */
export const TYRE_DAMPING_NS_PER_M = 6;

import type { KnownTyreKind } from './tyreKinds';

/**
 * Rate of a tyre of 1:10 on flat ground, N/mm: half a kilogram squashes a foamed or hollow one by less than a millimetre. By
 * judgement; weigh your own: the load over how much the axle sinks.
 */
export const TYRE_RATE_N_PER_MM: Readonly<Record<KnownTyreKind, number>> = {
  foam: 15,
  'solid rubber': 10,
  'printed flexible': 20,
  'hollow rubber': 6,
  'hollow rubber with insert': 10,
  belted: 12,
  'air-filled': 8,
};

/** Of rubber on its rim, N s/m; a tenth of critical for the wheel of a 1:10 car. By judgement. */
export const TYRE_DAMPING_NS_PER_M = 6;

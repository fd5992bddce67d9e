import type { CompoundFigures } from '../kinds/compound';

/** Factors on a surface's friction. */
export const STARTING_COMPOUNDS: readonly { id: string; data: CompoundFigures }[] = [
  { id: 'compound-soft', data: { name: 'Soft rubber', hardFactor: 1, looseFactor: 1 } },
  {
    id: 'compound-belted',
    data: { name: 'Belted rubber', hardFactor: 1, looseFactor: 0.95 },
  },
  {
    id: 'compound-hard',
    data: { name: 'Hard rubber', hardFactor: 0.8, looseFactor: 0.95 },
  },
  { id: 'compound-foam', data: { name: 'Foam', hardFactor: 1.05, looseFactor: 0.7 } },
  {
    id: 'compound-printed',
    data: { name: 'Printed flexible', hardFactor: 0.6, looseFactor: 0.75 },
  },
];

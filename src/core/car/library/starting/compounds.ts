import type { LibraryItem } from '../items';

/** Factors on a surface's friction. */
export const STARTING_COMPOUNDS: readonly LibraryItem<'compound'>[] = [
  { id: 'compound-soft', kind: 'compound', data: { name: 'Soft rubber', hardFactor: 1, looseFactor: 1 } },
  {
    id: 'compound-belted',
    kind: 'compound',
    data: { name: 'Belted rubber', hardFactor: 1, looseFactor: 0.95 },
  },
  {
    id: 'compound-hard',
    kind: 'compound',
    data: { name: 'Hard rubber', hardFactor: 0.8, looseFactor: 0.95 },
  },
  { id: 'compound-foam', kind: 'compound', data: { name: 'Foam', hardFactor: 1.05, looseFactor: 0.7 } },
  {
    id: 'compound-printed',
    kind: 'compound',
    data: { name: 'Printed flexible', hardFactor: 0.6, looseFactor: 0.75 },
  },
];

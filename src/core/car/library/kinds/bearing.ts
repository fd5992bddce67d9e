import { defineLibraryKind } from './define';

/** A bearing that lies in the workshop. */
export interface BearingAtHand {
  name: string;
  boreMm: number;
  outerMm: number;
  widthMm: number;
  /** Across the shaft, between its rings. */
  playMm: number;
  /** Load that it bears standing still. */
  staticN: number;
}

export const bearing = defineLibraryKind<BearingAtHand>({
  figures: {
    boreMm: { quantity: 'lengthMm', limits: { above: 0, to: 500 } },
    outerMm: { quantity: 'lengthMm', limits: { above: 0, to: 500 } },
    widthMm: { quantity: 'lengthMm', limits: { above: 0, to: 500 } },
    playMm: { quantity: 'fitMm', limits: { from: 0, to: 2 } },
    staticN: { quantity: 'forceN', limits: { above: 0, to: 100_000 } },
  },
  blank: { boreMm: 5, outerMm: 11, widthMm: 4, playMm: 0.008, staticN: 280 },
  tells: ['boreMm', 'outerMm'],
});

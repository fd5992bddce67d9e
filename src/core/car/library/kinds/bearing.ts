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

const ball = (boreMm: number, outerMm: number, widthMm: number, playMm: number, staticN: number) => ({
  id: `bearing-${boreMm}-${outerMm}-${widthMm}`.replaceAll('.', ''),
  data: {
    name: `Ball bearing ${boreMm} × ${outerMm} × ${widthMm}`,
    boreMm,
    outerMm,
    widthMm,
    playMm,
    staticN,
  },
});

/** Usual sizes: the normal clearance of ISO 5753-1 in its middle, static loads typical of data sheets. */
const STARTING_BEARINGS: readonly { id: string; data: BearingAtHand }[] = [
  ball(3, 6, 2.5, 0.008, 72),
  ball(3, 8, 4, 0.008, 155),
  ball(4, 8, 3, 0.008, 140),
  ball(5, 8, 2.5, 0.008, 100),
  ball(5, 10, 4, 0.008, 215),
  ball(5, 11, 4, 0.008, 280),
  ball(6, 10, 3, 0.008, 215),
  ball(6, 12, 4, 0.008, 365),
  ball(8, 16, 5, 0.008, 710),
  ball(10, 15, 4, 0.008, 435),
  ball(12, 18, 4, 0.011, 530),
  {
    id: 'bearing-bush-5',
    data: { name: 'Bush of bronze 5 × 8 × 4', boreMm: 5, outerMm: 8, widthMm: 4, playMm: 0.03, staticN: 400 },
  },
  {
    id: 'bearing-printed-5',
    data: {
      name: 'Hole in printed plastic, 5',
      boreMm: 5,
      outerMm: 9,
      widthMm: 5,
      playMm: 0.15,
      staticN: 250,
    },
  },
];

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
  starting: STARTING_BEARINGS,
});

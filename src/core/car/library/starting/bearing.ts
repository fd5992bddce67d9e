import type { BearingAtHand } from '../kinds/bearing';

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
export const STARTING_BEARINGS: readonly { id: string; data: BearingAtHand }[] = [
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

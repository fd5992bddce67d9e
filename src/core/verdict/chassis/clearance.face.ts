import { defineFace } from '../engine/check';

/** Every two things of the car against the distance that they want, and the ground against the wish. */
export const clearanceFace = defineFace({
  id: 'fit.clearance',
  at: { segment: 'chassis', side: 'space' },
  anySurface: true,
  heavy: true,
  quantity: 'lengthMm',
  kind: 'floor',
  tightUnder: 1.2,
  provenBy: { run: 'look', how: 'pushThroughTravel' },
  supports: [],
});

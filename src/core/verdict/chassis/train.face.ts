import { defineFace } from '../engine/check';

/** Places of motor and gears against the distances at which their teeth meet. */
export const trainFace = defineFace({
  id: 'fit.train',
  at: { segment: 'chassis', side: 'space' },
  anySurface: true,
  heavy: true,
  quantity: 'lengthMm',
  kind: 'ceiling',
  tightUnder: 2,
  applies: ({ drive }) => drive.stages.some(({ at }) => at !== undefined),
  provenBy: { run: 'look', how: 'turnByHand' },
  supports: [],
});

import { defineFace } from '../engine/check';

/** Load of each axle at top speed against half of the one at rest. */
export const lightFace = defineFace({
  id: 'chassis.light',
  at: { segment: 'chassis', side: 'stability' },
  heavy: true,
  quantity: 'forceN',
  kind: 'floor',
  tightUnder: 1.2,
  provenBy: { run: 'look', how: 'fasterAndFaster' },
  supports: [],
});

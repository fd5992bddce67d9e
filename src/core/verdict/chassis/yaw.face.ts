import { defineFace } from '../engine/check';

/** Speed up to which it is looked for, m/s; nobody counts beyond. */
export const SEARCHED_MPS = 100;

/** From which speed a disturbance no longer dies away, against the top speed. */
export const yawFace = defineFace({
  id: 'chassis.yaw',
  at: { segment: 'chassis', side: 'stability' },
  heavy: true,
  quantity: 'speedMps',
  kind: 'floor',
  tightUnder: 1.3,
  countedTo: SEARCHED_MPS,
  provenBy: { run: 'look', how: 'fasterAndFaster' },
  supports: [],
});

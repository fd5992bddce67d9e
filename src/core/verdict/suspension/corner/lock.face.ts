import { defineFace } from '../../engine/check';

/** How much of its travel a corner reaches before the linkage locks or a joint is at its limit. */
export const lockFace = defineFace({
  id: 'suspension.lock',
  at: { segment: 'suspension', side: 'corner' },
  anySurface: true,
  heavy: true,
  quantity: 'share',
  kind: 'floor',
  tightUnder: 1.1,
  provenBy: { run: 'terrain', how: 'throughTravel' },
  supports: ['jointBindsWhenTightened', 'servoStallsAtStop'],
});

import { defineFace } from '../../engine/check';

export const LEAST_MARGIN = 1.3;
/** Margin under which nobody should stand near it. */
const SAFE_MARGIN = 2;

/** The tyres of each axle, in the air and on the road, against what they withstand. */
export const burstFace = defineFace({
  id: 'tyre.burst',
  about: ['wheel'],
  at: { segment: 'drive', side: 'tyres' },
  heavy: true,
  quantity: 'coefficient',
  kind: 'floor',
  tightUnder: SAFE_MARGIN / LEAST_MARGIN,
  provenBy: { run: 'tyreSpin', how: 'spinBehindShield' },
  supports: ['tyreGrowth'],
});

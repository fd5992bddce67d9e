import { defineFace } from '../../engine/check';

/** The hex that turns a wheel, against the largest torque on one wheel. */
export const wheelHexFace = defineFace({
  id: 'joint.wheel',
  about: ['wheel'],
  at: { segment: 'drive', side: 'joints' },
  heavy: true,
  quantity: 'torqueNm',
  kind: 'floor',
  tightUnder: 1.5,
  provenBy: { run: 'endurance', how: 'lineOverHub' },
  supports: ['hexStripped'],
});

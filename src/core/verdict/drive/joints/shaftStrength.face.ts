import { defineFace } from '../../engine/check';

/** Axles and long shafts, bent and twisted at once. */
export const shaftStrengthFace = defineFace({
  id: 'shaft.strength',
  at: { segment: 'drive', side: 'joints' },
  heavy: true,
  quantity: 'coefficient',
  kind: 'floor',
  tightUnder: 1.3,
  provenBy: { run: 'drop', how: 'landThenRollShaft' },
  supports: ['shaftTooWeak'],
});

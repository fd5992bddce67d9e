import { defineFace } from '../../engine/check';

/** A long shaft's whirling speed against the fastest it turns. */
export const shaftWhirlFace = defineFace({
  id: 'shaft.whirl',
  about: ['longShaft'],
  at: { segment: 'drive', side: 'joints' },
  anySurface: true,
  heavy: true,
  quantity: 'rpm',
  kind: 'floor',
  tightUnder: 1.3,
  provenBy: { run: 'spin', how: 'listenAtSpeed' },
  supports: ['whirl'],
});

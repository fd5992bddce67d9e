import { defineFace } from '../../engine/check';

/** Whether another gear would serve the wish better. */
export const ratioFace = defineFace({
  id: 'drive.ratio',
  at: { segment: 'drive', side: 'ratio' },
  heavy: true,
  quantity: 'share',
  kind: 'band',
  provenBy: { run: 'timedDistance', how: 'sameDistance' },
  supports: ['ratioTooLong', 'ratioTooShort'],
});

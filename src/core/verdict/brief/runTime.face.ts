import { defineFace } from '../engine/check';

/** Minutes per pack against the wish. */
export const runTimeFace = defineFace({
  id: 'brief.charge',
  at: { segment: 'brief', side: 'wish' },
  heavy: true,
  quantity: 'minutes',
  kind: 'floor',
  tightUnder: 1.1,
  provenBy: { run: 'endurance', how: 'wholePack', figure: true },
  supports: ['packTooSmall'],
});

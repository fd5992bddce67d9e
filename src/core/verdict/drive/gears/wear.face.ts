import { defineFace } from '../../engine/check';
import { hasTeeth, mayHave } from '../../../worked/drive/stageKinds';

/** Hours beyond which nobody counts. */
export const MOST_HOURS = 200;

/** Hours until a flank is worn, against the hours wanted. */
export const wearFace = defineFace({
  id: 'gears.wear',
  at: { segment: 'drive', side: 'gears' },
  heavy: true,
  quantity: 'hours',
  kind: 'floor',
  countedTo: MOST_HOURS,
  tightUnder: 1.5,
  applies: ({ drive }) => mayHave(drive, hasTeeth),
  provenBy: { run: 'drop', how: 'landThenTeeth' },
  supports: ['faceTooNarrow', 'shaftsNotParallel'],
});

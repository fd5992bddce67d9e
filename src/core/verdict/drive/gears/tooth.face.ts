import { defineFace } from '../../engine/check';
import { hasTeeth, mayHave } from '../../../worked/drive/stageKinds';

/** The weakest gear of all stages at the build's peak torque and temperature. */
export const toothFace = defineFace({
  id: 'gears.tooth',
  at: { segment: 'drive', side: 'gears' },
  heavy: true,
  quantity: 'coefficient',
  kind: 'floor',
  tightUnder: 1.5,
  applies: ({ drive }) => mayHave(drive, hasTeeth),
  provenBy: { run: 'drop', how: 'landThenTeeth' },
  supports: ['faceTooNarrow'],
});

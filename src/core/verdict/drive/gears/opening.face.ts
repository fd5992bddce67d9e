import { defineFace } from '../../engine/check';
import { mountedStages } from '../../../worked/drive/stageKinds';

/** Whether the mount lets the teeth push their gears apart until they skip. */
export const openingFace = defineFace({
  id: 'gears.opening',
  at: { segment: 'drive', side: 'gears' },
  heavy: true,
  quantity: 'coefficient',
  kind: 'floor',
  tightUnder: 1.5,
  applies: ({ drive }) => mountedStages(drive.stages).length > 0,
  provenBy: { run: 'drop', how: 'landThenTeeth' },
  supports: [],
});

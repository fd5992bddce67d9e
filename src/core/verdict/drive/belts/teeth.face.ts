import { defineFace } from '../../engine/check';
import { beltStages } from '../../../worked/drive/stageKinds';

/** The pull against what the belt's teeth carry, and those of a printed pulley. */
export const teethFace = defineFace({
  id: 'belt.teeth',
  at: { segment: 'drive', side: 'gears' },
  heavy: true,
  quantity: 'coefficient',
  kind: 'floor',
  tightUnder: 1.3,
  applies: ({ drive }) => beltStages(drive.stages).length > 0,
  provenBy: { run: 'drop', how: 'landThenTeeth' },
  supports: [],
});

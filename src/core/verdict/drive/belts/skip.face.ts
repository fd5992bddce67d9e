import { defineFace } from '../../engine/check';
import { beltStages } from '../../../worked/drive/stageKinds';

/** The pull against the one at which the belt climbs over the teeth of its pulley. */
export const skipFace = defineFace({
  id: 'belt.skip',
  at: { segment: 'drive', side: 'gears' },
  heavy: true,
  quantity: 'coefficient',
  kind: 'floor',
  tightUnder: 1.3,
  applies: ({ drive }) => beltStages(drive.stages).some(({ pretensionN }) => pretensionN !== undefined),
  provenBy: { run: 'drop', how: 'landThenTeeth' },
  supports: [],
});

import { defineFace } from '../../engine/check';
import { differentialStages, planetaryStages } from '../../../worked/drive/stageKinds';

/** Whether the planets of a set or a differential go in, clear each other, and mesh without interference. */
export const assemblyFace = defineFace({
  id: 'gears.assembly',
  at: { segment: 'drive', side: 'gears' },
  heavy: true,
  anySurface: true,
  quantity: 'count',
  kind: 'floor',
  applies: ({ drive }) => planetaryStages(drive.stages).length + differentialStages(drive.stages).length > 0,
  provenBy: { run: 'look', how: 'landThenTeeth' },
  supports: [],
});

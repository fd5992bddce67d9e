import { defineFace } from '../../engine/check';
import { isGeared } from '../../../car/document/drive';

/** What holds the pinion on the motor's shaft, hot, against the largest torque. */
export const pinionJointFace = defineFace({
  id: 'joint.pinion',
  at: { segment: 'drive', side: 'joints' },
  heavy: true,
  quantity: 'torqueNm',
  kind: 'floor',
  tightUnder: 1.5,
  applies: ({ drive }) => isGeared(drive),
  provenBy: { run: 'endurance', how: 'lineOverHub' },
  supports: ['pinionBondSoftens', 'grubScrewSlips'],
});

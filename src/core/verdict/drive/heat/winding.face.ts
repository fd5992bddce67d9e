import { defineFace } from '../../engine/check';
import { CLEAR_FROM } from './clearFrom';

/** The winding over the pack's duty, against what its enamel bears. */
export const windingFace = defineFace({
  id: 'drive.winding',
  about: ['motor'],
  at: { segment: 'drive', side: 'heat' },
  heavy: true,
  quantity: 'temperatureC',
  kind: 'ceiling',
  tightUnder: CLEAR_FROM,
  provenBy: { run: 'endurance', how: 'wholePackThenCase' },
  supports: ['ratioTooLong', 'motorDamaged', 'inWheelMotorAtStandstill'],
});

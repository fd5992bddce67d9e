import { defineFace } from '../../engine/check';
import { CLEAR_FROM } from './clearFrom';

/** Motor case over the pack's duty, against what softens first. */
export const motorCaseFace = defineFace({
  id: 'drive.heat',
  about: ['motor'],
  at: { segment: 'drive', side: 'heat' },
  heavy: true,
  quantity: 'temperatureC',
  kind: 'ceiling',
  tightUnder: CLEAR_FROM,
  provenBy: { run: 'endurance', how: 'wholePackCase', figure: true },
  supports: ['ratioTooLong', 'noAirflow', 'inWheelMotorAtStandstill', 'plasticSoftensHot'],
});

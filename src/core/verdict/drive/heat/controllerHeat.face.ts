import { defineFace } from '../../engine/check';
import { CLEAR_FROM } from './clearFrom';

/** A controller over the pack's duty, against where it shuts down. */
export const controllerHeatFace = defineFace({
  id: 'drive.controllerHeat',
  about: ['controller'],
  at: { segment: 'drive', side: 'heat' },
  heavy: true,
  quantity: 'temperatureC',
  kind: 'ceiling',
  tightUnder: CLEAR_FROM,
  provenBy: { run: 'endurance', how: 'wholePackController', figure: true },
  supports: [],
});

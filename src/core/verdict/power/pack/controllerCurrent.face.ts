import { defineFace } from '../../engine/check';

/**
 * What one controller passes on over the duty, against its continuous rating; where it does not limit, the peak against its
 * peak; and whether it can switch the motor at all.
 */
export const controllerCurrentFace = defineFace({
  id: 'power.controller',
  about: ['controller'],
  at: { segment: 'power', side: 'pack' },
  heavy: true,
  quantity: 'currentA',
  kind: 'ceiling',
  tightUnder: 1.3,
  provenBy: { run: 'endurance', how: 'wholePackController' },
  supports: ['controllerProtectsStall', 'noAirflow'],
});

import type { Refusals } from '../refusals/refusals';
import type { Sentences } from '../write';

/** What measured friction is noted for. */
export const GRIP_NOTES: Sentences<'note.grip'> = {
  'note.grip.lifted': ({ id, axle }) =>
    `In ${id} the ${axle} axle would be off the ground: pull lower, or lock other wheels.`,
  'note.grip.inconsistent': ({ direction, p }) =>
    `The ${direction} methods disagree by more than their errors allow; by chance that happens in ${p} of such sets: look for a wheel that rolled, a wet patch, a scale that is off.`,
  'note.grip.oneReading': ({ id }) => `${id} was read once: how it scatters is not known.`,
  'note.grip.exact': ({ direction }) =>
    `The ${direction} methods are not put together: one of them has no error at all.`,
  'note.grip.shared': ({ direction }) =>
    `What the ${direction} methods share, the car and the scale, is not taken out of their mean.`,
};

/** What measured friction refuses. */
export const GRIP_REFUSALS: Refusals<'grip'> = {
  'grip.twice': ({ id }) => [`“${id}” stands there twice`, 'give each measurement a name of its own'],
  'grip.allAcross': () => ['makes no sense across the car, where all wheels slip', 'leave it out'],
  'grip.slower': () => ['is not under the speed that it ends at', 'give the lower speed first'],
  'grip.unknown': ({ id }) => [`“${id}” is none of the measurements`, 'name one of them'],
  'grip.unlike': () => [
    'was measured another way, or with other wheels',
    'compare two of one method, direction and wheels',
  ],
  'grip.noSlip': () => [
    'makes no wheel slip: nothing is left over the resistance, or those wheels carry nothing',
    'check the reading, the resistance and which wheels were held',
  ],
};

import type { Refusals } from '../refusals/refusals';
import type { Sentences } from '../write';

const NAMES = { cdaM2: 'drag', rollingResistance: 'rolling resistance' };

/** What a roll-out is noted for. */
export const COAST_NOTES: Sentences<'note.coast'> = {
  'note.coast.negative': ({ of }) =>
    `The ${NAMES[of]} comes out under nothing: the car was driven, ran downhill or had the wind behind it. Roll out both ways.`,
  'note.coast.unsure': ({ of, errors }) =>
    `The ${NAMES[of]} is only ${errors} times its error: roll out more often, from faster to slower.`,
  'note.coast.oneWay': () =>
    'Rolled out one way only: what wind and slope do passes for drag and rolling resistance.',
};

/** What a roll-out refuses. */
export const COAST_REFUSALS: Refusals<'coast'> = {
  'coast.noRadius': () => ['is needed where something turns along', 'give the radius of the tyre'],
  'coast.backward': () => ['is not after the reading before it', 'put the readings in order of time'],
  'coast.few': ({ readings, unknowns }) => [
    `hold ${readings} readings for ${unknowns} unknown figures`,
    'read the speed more often',
  ],
  'coast.narrow': ({ highest, lowest }) => [
    `go from ${highest} to ${lowest} only`,
    'let the car roll from fast to slow, to less than two thirds of the speed at least',
  ],
  'coast.alike': () => [
    'cannot tell drag from rolling resistance',
    'roll out from a higher speed to a lower one, more often, with a better reading of the speed',
  ],
};

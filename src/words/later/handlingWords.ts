import type { Refusals } from '../refusals/refusals';
import type { Sentences } from '../write';

/** What measured handling is noted for. */
export const HANDLING_NOTES: Sentences<'note.handling'> = {
  'note.handling.nearLimit': ({ run, lateral, limit }) =>
    `Run ${run} is driven at ${lateral} of the ${limit} that grip allows: no longer on the straight part of the curve.`,
  'note.handling.neutral': () => 'The circles show neither under- nor oversteer.',
};

/** What measured handling refuses. */
export const HANDLING_REFUSALS: Refusals<'handling'> = {
  'handling.overTheCritical': () => [
    'has the car over its critical speed: it holds no straight there',
    'drive slower, or check the sign: understeer is positive',
  ],
  'handling.sameSpeed': ({ least, most }) => [
    `are driven alike, from ${least} to ${most} across`,
    'drive the same circle slower and faster, or smaller and larger ones',
  ],
};

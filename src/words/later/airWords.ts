import type { Refusals } from '../refusals/refusals';
import type { Sentences } from '../write';

/** What the air of a car is noted for. */
export const AIR_NOTES: Sentences<'note.air'> = {
  'note.air.stalled': ({ id, lift }) =>
    `${id} has stalled: it lifts no more than ${lift}, and drags like a plate. Less angle or less camber.`,
  'note.air.reynolds': ({ id, reynolds }) =>
    `${id} runs at a Reynolds number of ${reynolds}: a thin plate does better there than a thick profile, and figures scatter.`,
  'note.air.noSide': () => 'Without an area from the side nothing is said of side wind.',
};

/** What the air of a car refuses. */
export const AIR_REFUSALS: Refusals<'air'> = {
  'air.twice': ({ id }) => [`“${id}” is taken already`, 'give each wing and fin a name of its own'],
  'air.flatCamber': () => [
    'is of a flat plate, which has none',
    'leave it out, or choose a cambered profile',
  ],
};

import type { Sentences } from '../write';
import { counted } from '../lists';

/** What the bench for blows and series of settings found. */
export const BENCH_NOTES: Sentences<'staircase' | 'note.staircase' | 'series' | 'note.series'> = {
  'staircase.weakened': ({ variant, parts }) =>
    `${counted(parts, 'copy', 'copies')} of ${variant} broke at no more than they had held before: blows add up. Hit a fresh copy each time.`,
  'staircase.reused': ({ variant, parts }) =>
    `${counted(parts, 'copy', 'copies')} of ${variant} took several blows: what they took before may have cost them something.`,
  'series.lackOfFit': () =>
    'The results bend otherwise than this line or curve: what it says between the tried values is not to be trusted.',
  'note.series.openInterval': () =>
    'The bend of the curve is not sure enough to say between which values the best one lies.',
  'note.series.atLimit': () =>
    'The best tried value lies at the limit: there is nothing further to try that way.',
  'note.staircase.atBound': ({ variant, scatter }) =>
    `How much copies of ${variant} differ is not told by these blows: it ends at the bound of ${scatter}.`,
};

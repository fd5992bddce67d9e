import type { Showable, Shows } from '@/core/car/sharing/shares';
import { SHOWABLE } from '@/core/car/sharing/shares';
import { listed } from '../lists';

/** What a tick shows. */
export const SHOWABLE_WORDS: Readonly<Record<Showable, string>> = {
  failures: 'failures, with their stories and checks',
  photos: 'photographs, without what the camera wrote into them',
  tracks: 'satellite tracks, without both ends and without their place on the map',
};

const SHORT: Readonly<Record<Showable, string>> = {
  failures: 'failures',
  photos: 'photographs',
  tracks: 'tracks',
};

/** What a link shows beside the car itself. */
export function showsWords(shows: Shows): string {
  const shown = SHOWABLE.filter((one) => shows[one]);
  const hidden = SHOWABLE.filter((one) => !shows[one]);
  const named = (all: readonly Showable[]) => listed(all.map((one) => SHORT[one]));
  return shown.length === 0
    ? 'the car and its runs alone'
    : `with ${named(shown)}${hidden.length > 0 ? `, without ${named(hidden)}` : ''}`;
}

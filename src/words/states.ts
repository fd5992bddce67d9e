import type { State } from '@/core/verdict/engine/check';

/** Every state's word, the same on every screen and in every report. */
export const STATE_WORDS: Readonly<Record<State, string>> = {
  over: 'fails',
  tight: 'tight',
  clear: 'clear',
  unknown: 'unknown',
};

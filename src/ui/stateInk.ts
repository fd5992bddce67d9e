import type { State } from '@/core/verdict/engine/check';

/** What a state is drawn in on paper; on the stripe its own marks have other inks. */
export const STATE_INK: Readonly<Record<State, string>> = {
  clear: 'var(--moss)',
  tight: 'var(--ochre)',
  over: 'var(--rust)',
  unknown: 'var(--quiet)',
};

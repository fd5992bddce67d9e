import type { Finding } from '../../base/finding';
import type { State } from '../../verdict/engine/check';
import type { NextStep } from './definition';

export type Bare = Omit<NextStep, 'figures' | 'betters' | 'worsens' | 'hours'>;
export const step = (given: Bare): Bare => given;
/** Reliefs and minutes of what is no change. By judgement. */
export const RELIEF = {
  open: 1,
  again: 2,
  band: 1.2,
  goal: 0.6,
  owed: 0.6,
  first: 1.5,
  unknown: 0.25,
  queue: 0.5,
  worn: 0.8,
  young: 0.2,
} as const;

export const MINUTES = { find: 15, run: 15, fill: 20, plate: 10, around: 10 } as const;

/** What a run is worth while the car is not fit for it. */
export const NOT_READY = 0.2;

/** What a check on the record found, or that it found nothing yet. */
export interface StandingFound {
  state: State;
  value?: number;
  limit?: number;
  finding?: Finding;
}

export const told = ({ finding: found }: StandingFound): Finding[] => (found ? [found] : []);

import type { BlowWay } from '@/core/car/records/benchReport';
import type { StaircaseVerdict } from '@/core/physics/bench/staircase';

export const BLOW_WAY_WORDS: Readonly<Record<BlowWay, string>> = {
  drop: 'falling mass',
  swing: 'swung hammer',
  energy: 'energy known',
};

/** About a later variant against the first. */
export const VERDICT_WORDS: Readonly<Record<StaircaseVerdict, string>> = {
  'too few blows': 'too few blows to tell',
  'no difference shown': 'no difference shown',
  stronger: 'stronger',
  weaker: 'weaker',
};

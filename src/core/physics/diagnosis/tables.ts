import causes from './causes.json';
import changes from './changes.json';
import checks from './checks.json';
import clues from './clues.json';
import conditions from './conditions.json';
import history from './history.json';
import margins from './margins.json';
import model from './model.json';
import modes from './modes.json';
import partKinds from './partKinds.json';

/** Causes that an entry speaks for or against. */
export interface Speaks {
  strong: readonly string[];
  weak: readonly string[];
  against?: readonly string[];
}

export interface Rule extends Speaks {
  id: string;
  field: string;
  is?: boolean | string;
  in?: readonly string[];
  atLeast?: number;
  atMost?: number;
  /** Silent where that clue is given. */
  unlessClue?: string;
  why: string;
}

export interface Cause {
  id: string;
  group: string;
  means: string;
  check: string;
}

export interface SeparatingCheck {
  id: string;
  /** Yes speaks for its causes. */
  ask: string;
  /** min. */
  minutes: number;
}

export interface Mode {
  means: string;
  usual: readonly string[];
  possible: readonly string[];
}

type Entries<T> = Readonly<Record<string, T>>;

/** Everything the diagnosis knows, as data: grades by judgement from engineering practice, sources in `model.json`. */
export const TABLES: {
  readonly weights: (typeof model)['weights'];
  readonly surfaces: readonly string[];
  readonly causes: readonly Cause[];
  readonly checks: readonly SeparatingCheck[];
  readonly modes: Entries<Mode>;
  readonly clues: Entries<Speaks & { means: string }>;
  readonly partKinds: Entries<Speaks & { means: string }>;
  readonly conditions: readonly Rule[];
  readonly history: readonly Rule[];
  readonly changes: Entries<Speaks & { means: string }>;
  readonly margins: Entries<readonly string[]>;
} = {
  weights: model.weights,
  surfaces: model.surfaces,
  causes,
  checks,
  modes,
  clues,
  partKinds,
  conditions: conditions as readonly Rule[],
  history: history as readonly Rule[],
  changes,
  margins,
};

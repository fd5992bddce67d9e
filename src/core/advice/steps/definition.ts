import type { Finding } from '../../base/finding';
import type { Patch } from '../../base/patch';
import type { QuantityName } from '../../base/units/quantities';
import type { RunKind } from '../../car/records/runKinds';
import type { Check, Remedy, State } from '../../verdict/engine/check';
import type { Segment } from '../../verdict/engine/segments';
import type { Moved, MovedCheck } from '../effects/effects';

/** What kind of step it is: to change something, to find something out, to fill in a figure, to print, to prove. */
export type NextKind = 'change' | 'find' | 'measure' | 'print' | 'prove';

/** What a step costs; the time is that of the builder, the printer's stands apart. */
export interface NextCost {
  /** Minutes on the bench. */
  benchMinutes: number;
  /** Seconds of the printer. */
  printS?: number;
  /** In the build's currency; none where a price is not known. */
  money?: number;
  /** Something has to be bought whose price is not known. */
  priceUnknown?: true;
}

/** How to see that it worked. */
export interface Trial {
  run: RunKind | 'look';
  /** How to drive or look, by the code of its sentence. */
  how: string;
  /** Attempts on each side, before and after, that show it. */
  runs?: number;
  /** What is measured, where it is a figure. */
  quantity?: QuantityName;
  expected?: { before: number; after: number };
  /** How many runs it takes, or why none is counted. */
  enough: Finding;
}

export interface NextStep {
  id: string;
  kind: NextKind;
  segment: Segment;
  /** What to do; a change is named by its remedy. */
  title?: Finding;
  remedy?: Pick<Remedy, 'exchanges' | 'says'>;
  /** Check that it is about. */
  check?: Pick<Check, 'id' | 'named' | 'state' | 'finding' | 'missing'>;
  /** Why now, after what the check says; the weightiest first. */
  why: Finding[];
  /** Goes into the build, or becomes its ghost. */
  patch?: Patch;
  figures: Moved[];
  betters: MovedCheck[];
  worsens: MovedCheck[];
  cost: NextCost;
  trial?: Trial;
  /** A failure that it is about. */
  failureId?: string;
  /** Weight that it takes off. */
  relief: number;
  /** Hours that it is expected to take. */
  hours: number;
}

export interface NextList {
  /** The most relief per hour first. */
  steps: NextStep[];
  /** Where finding out comes before any change. */
  measureFirst: boolean;
}

/** Weight of a check's state, before failures are counted. By judgement. */
export const WEIGHTS: Readonly<Record<State, number>> = { over: 1, tight: 0.25, unknown: 0, clear: 0 };

/** Minutes on the bench of an adjustment, an exchange and a rebuild. By judgement. */
export const BENCH_MINUTES = { 1: 15, 2: 60, 3: 180 } as const;

/** A printer works alone: this share of its time counts as the builder's. By judgement. */
export const PRINTER_SHARE = 0.1;

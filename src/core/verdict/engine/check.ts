import type { Subject } from '../../worked/subject';
import type { WorkingStep } from '../../base/workingStep';
import type { Patch } from '../../base/patch';
import type { QuantityName } from '../../base/units/quantities';

export const SEGMENTS = [
  'brief',
  'drive',
  'power',
  'chassis',
  'suspension',
  'parts',
  'print',
  'field',
  'learn',
] as const;
export type Segment = (typeof SEGMENTS)[number];

export type State = 'over' | 'tight' | 'unknown' | 'clear';

/** What a domain offers against a bad check; the engine works out what it does. */
export interface Proposal {
  readonly text: string;
  readonly patch: Patch;
  /** 1 an adjustment, 2 an exchange, 3 a rebuild. */
  readonly cost: 1 | 2 | 3;
}

export interface Remedy {
  readonly text: string;
  readonly patch: Patch;
  /** 1 an adjustment, 2 an exchange, 3 a rebuild. */
  readonly cost: Proposal['cost'];
  /** Size of its effect in words. */
  readonly effect: string;
  /** The check's value and state with the remedy in place. */
  readonly value?: number;
  readonly state: State;
}

/** A value that must stay under its limit, over it, or between two. */
export type CheckKind = 'ceiling' | 'floor' | 'band';

export interface Check {
  readonly id: string;
  readonly segment: Segment;
  readonly title: string;
  /** What the stripe calls it. */
  readonly short: string;
  readonly quantity: QuantityName;
  readonly kind: CheckKind;
  readonly value?: number;
  readonly limit?: number;
  readonly margin?: number;
  readonly state: State;
  readonly why: string;
  /** Surface that it stands for, where it depends on one. */
  readonly surface?: string;
  readonly missing: readonly string[];
  readonly working: readonly WorkingStep[];
  readonly remedies: readonly Remedy[];
  /** What went wrong inside, where it is a fault of the program and none of the figures. */
  readonly fault?: Error;
}

/** What a check finds: a figure against its limit, a state of its own, or what is missing. */
export type Finding =
  | { readonly missing: readonly string[]; readonly fault?: Error }
  | {
      /** None where the finding is no matter of more or less. */
      readonly value?: number;
      readonly limit?: number;
      /** Where it is not limit over value, or value over limit. */
      readonly margin?: number;
      /** Where the state does not follow from limit and value. */
      readonly state?: State;
      readonly why: string;
      readonly working: readonly WorkingStep[];
    };

export interface CheckDefinition {
  readonly id: string;
  readonly segment: Segment;
  readonly title: string;
  /** What the stripe calls it. */
  readonly short: string;
  /** Set where it takes longer than a change on screen may. */
  readonly heavy?: true;
  /** Set where the surface makes no difference. */
  readonly anySurface?: true;
  readonly quantity: QuantityName;
  readonly kind: CheckKind;
  /** Margin under which it is tight; the workshop may set its own. */
  readonly tightUnder?: number;
  evaluate(subject: Subject): Finding;
  propose?(subject: Subject): Proposal[];
}

export type Thresholds = Readonly<Record<string, number>>;

import type { Refused } from './errors';
import type { Measure } from './measure';

/** Facts of each finding by its code; every check adds its own beside it, and src/words has a sentence for each. */
export interface FindingFacts {
  /** Figures that do not go together: a refusal from inside a model. */
  'check.refused': { refused?: Refused };
}

export type FindingCode = keyof FindingFacts;

/** What a check found: a code, with the quantities and names that its sentence tells. */
export type Finding = {
  [C in FindingCode]: { readonly code: C; readonly facts: FindingFacts[C] };
}[FindingCode];

export const finding = <C extends FindingCode>(code: C, facts: FindingFacts[C]): Finding =>
  ({ code, facts }) as Finding;

/** The same finding with other words for the ids in its facts. */
export const renamed = ({ code, facts }: Finding, nameOf: (id: string) => string): Finding =>
  ({
    code,
    facts: Object.fromEntries(
      Object.entries(facts).map(([key, value]) => [key, typeof value === 'string' ? nameOf(value) : value]),
    ),
  }) as unknown as Finding;

/** Facts of each working by its code: what its lines are made of. */
export interface WorkingFacts {
  /** Lines that name what they show by themselves. */
  'working.list': { lines: readonly { name: string; count?: number; each?: Measure; value: Measure }[] };
}

export type WorkingCode = keyof WorkingFacts;

/** How a figure comes about: a code, with what its formulas are written from. */
export type Working = {
  [C in WorkingCode]: { readonly code: C; readonly facts: WorkingFacts[C] };
}[WorkingCode];

export const working = <C extends WorkingCode>(code: C, facts: WorkingFacts[C]): Working =>
  ({ code, facts }) as Working;

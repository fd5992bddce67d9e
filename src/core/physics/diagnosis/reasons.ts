import type { Measure } from '../../base/measure';

/** What speaks, by the words of the tables. */
export type Clue = { says: string } | { isA: string } | { changed: string };

declare module '../../base/finding' {
  interface FindingFacts {
    'note.diagnosis.place': { usual: boolean; means: string };
    'note.diagnosis.strong': { clue: Clue };
    'note.diagnosis.weak': { clue: Clue };
    'note.diagnosis.against': { clue: Clue };
    'note.diagnosis.margin': { for: boolean; key: string; margin: Measure };
    'note.diagnosis.outcome': { result: 'yes' | 'no' };
    'note.diagnosis.silent': Record<never, never>;
    'note.diagnosis.judgement': Record<never, never>;
    'note.diagnosis.noClue': Record<never, never>;
    'note.diagnosis.manyChanges': { changes: number };
    'note.diagnosis.unusedMargins': { margins: readonly string[] };
    'note.diagnosis.clear': Record<never, never>;
    'note.diagnosis.allLookedAt': Record<never, never>;
  }
}

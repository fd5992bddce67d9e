import type { Figures } from '../../fields/figure';

/** One kind of thing in the library. Its names and labels stand in the words. */
export interface LibraryKindRecord<Data extends { name: string }, Nested extends keyof Data = never> {
  /** What describes it; lists inside it have schemas of their own. */
  readonly figures: Figures<Data, Nested>;
  /** Figures of a new one; those that are named here are shown and asked in the library. */
  readonly blank: Partial<Omit<Data, 'name'>>;
  /** What a builder chooses by, beside the name. */
  readonly tells: readonly Exclude<keyof Data, 'name' | Nested>[];
  /** For its type alone: what the workshop holds of one. */
  readonly holds?: Data;
}

export const defineLibraryKind = <Data extends { name: string }, Nested extends keyof Data = never>(
  record: LibraryKindRecord<Data, Nested>,
): LibraryKindRecord<Data, Nested> => record;

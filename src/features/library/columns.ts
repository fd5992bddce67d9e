import type { Figure } from '@/core/car/fields/figure';
import { LIBRARY_KIND_RECORDS, type LibraryKind } from '@/core/car/library/kinds';
import { LIBRARY_WORDS } from '@/words/library/library';

/** A figure that the library asks of a thing. */
export interface Column {
  readonly key: string;
  readonly label: string;
  readonly figure: Figure;
}

/** What a kind of the library shows and lets edit, besides the name. */
export function columnsOf(kind: LibraryKind): readonly Column[] {
  const { blank, figures } = LIBRARY_KIND_RECORDS[kind];
  return Object.keys(blank).map((key) => ({
    key,
    label: LIBRARY_WORDS[kind].figures[key] ?? key,
    figure: (figures as Readonly<Record<string, Figure>>)[key]!,
  }));
}

/** How a choice reads. */
export const choiceWords = (kind: LibraryKind, choice: string): string =>
  LIBRARY_WORDS[kind].choices?.[choice] ?? choice;

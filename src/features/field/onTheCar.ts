import type { BuildDocument } from '@/core/car/document/document';
import type { RunRecord } from '@/core/car/records/records';
import { goodCopies } from '@/core/worked/print/log';
import type { CopyRecord } from '@/core/car/records/prints';
import { quantityOf } from '@/core/worked/print/sources';

/** The copies of the last run that are still good, and for parts that it says nothing of the first good ones. */
export function usualCopies(
  document: BuildDocument,
  copies: readonly CopyRecord[],
  runs: readonly RunRecord[],
): string[] {
  const last = [...runs]
    .filter((run) => run.copies !== undefined)
    .sort((a, b) => (a.ranAt < b.ranAt ? 1 : -1))[0];
  const before = new Set(last?.copies);
  return document.parts.items.flatMap((part) => {
    const good = goodCopies(copies, part.id);
    const sorted = [...good.filter(({ id }) => before.has(id)), ...good.filter(({ id }) => !before.has(id))];
    return sorted.slice(0, quantityOf(document, part)).map(({ id }) => id);
  });
}

import type { CopyRecord } from '../../car/records/prints';
import type { FailureRecord } from '../../car/records/records';

export const HURTS = ['repaired', 'damaged'] as const;
export type Hurt = (typeof HURTS)[number];

/** Printed copies that were mended, or that failed and were not mended since, by their ids. */
export function hurtCopies(
  copies: readonly Pick<CopyRecord, 'id' | 'repairs'>[],
  failures: readonly Pick<FailureRecord, 'ledger' | 'occurredAt'>[],
): Map<string, Hurt> {
  const found = new Map<string, Hurt>();
  for (const { id, repairs = [] } of copies) {
    const mended = repairs.map(({ at }) => at).sort();
    const failed = failures
      .filter(({ ledger }) => ledger?.copyId === id)
      .map(({ occurredAt }) => occurredAt)
      .sort();
    const lastMended = mended.at(-1);
    if (failed.length > 0 && (lastMended === undefined || lastMended < failed.at(-1)!))
      found.set(id, 'damaged');
    else if (lastMended !== undefined) found.set(id, 'repaired');
  }
  return found;
}

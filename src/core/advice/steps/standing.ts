import { lineFrom } from '../../worked/field/lives';
import type { BuildOnRecord } from '../../verdict/engine/onRecord';

/** The record as it bears on one revision: without what came after it on its own line; `past` where something did. */
export function standingAt(record: BuildOnRecord): { record: BuildOnRecord; past: boolean } {
  const after = new Set(lineFrom(record.revisionId, record.revisions));
  after.delete(record.revisionId);
  if (after.size === 0) return { record, past: false };
  const stays = ({ revisionId }: { revisionId: string }) => !after.has(revisionId);
  return {
    past: true,
    record: {
      ...record,
      revisions: record.revisions.filter(({ id }) => !after.has(id)),
      runs: record.runs.filter(stays),
      failures: record.failures.filter(stays),
      prints: record.prints.filter(stays),
      copies: record.copies.filter(stays),
    },
  };
}

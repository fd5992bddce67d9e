import { lineFrom } from '../../field/lives';
import type { BuildOnRecord } from '../record';

/** The record as it bears on one revision: without what came after it on its own line. */
export function standingAt(record: BuildOnRecord): BuildOnRecord {
  const after = new Set(lineFrom(record.revisionId, record.revisions));
  after.delete(record.revisionId);
  if (after.size === 0) return record;
  const stays = ({ revisionId }: { revisionId: string }) => !after.has(revisionId);
  return { ...record, revisions: record.revisions.filter(({ id }) => !after.has(id)), runs: record.runs.filter(stays), failures: record.failures.filter(stays), prints: record.prints.filter(stays), copies: record.copies.filter(stays) };
}

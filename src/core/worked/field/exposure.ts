import type { FailureRecord, RevisionRecord, RunRecord } from '../../car/records/records';

const MIN_PER_H = 60;

/** Hours that a build was driven, and how often each part failed, over all revisions. */
export function exposureOf(
  revisions: readonly RevisionRecord[],
  runs: readonly RunRecord[],
  failures: readonly FailureRecord[],
): { seenHours: number; counts: ReadonlyMap<string, number> } {
  const own = new Set(revisions.map(({ id }) => id));
  const seenHours =
    runs
      .filter(({ revisionId }) => own.has(revisionId))
      .reduce((sum, { drivenMinutes = 0 }) => sum + drivenMinutes, 0) / MIN_PER_H;
  const counts = new Map<string, number>();
  for (const { partId } of failures)
    if (partId !== undefined) counts.set(partId, (counts.get(partId) ?? 0) + 1);
  return { seenHours, counts };
}

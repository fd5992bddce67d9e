import type { FailureRecord, RevisionRecord, RunRecord } from '../../car/records/records';
import { askDiagnosis } from '../../worked/field/ledger';
import { failureDiagnose } from '../../physics/diagnosis/diagnose';

/** How often the verdict of a closed failure had been among the first two suspects before any check. */
export interface DiagnosisScore {
  closed: number;
  first: number;
  second: number;
}

export function scoreOf(
  failures: readonly FailureRecord[],
  revisions: readonly RevisionRecord[],
  runs: readonly RunRecord[],
  marginsOf: (revisionId: string) => Readonly<Record<string, number>>,
): DiagnosisScore {
  const score = { closed: 0, first: 0, second: 0 };
  for (const failure of failures) {
    const cause = failure.ledger?.verdict?.cause;
    const revision = revisions.find(({ id }) => id === failure.revisionId);
    if (cause === undefined || !revision) continue;
    const { input } = askDiagnosis(
      failure,
      revision.document,
      runs.find(({ id }) => id === failure.runId),
      marginsOf(revision.id),
    );
    const place = failureDiagnose({ ...input, outcomes: [] }).suspects.findIndex(
      (suspect) => suspect.cause === cause,
    );
    score.closed++;
    if (place === 0) score.first++;
    if (place === 1) score.second++;
  }
  return score;
}

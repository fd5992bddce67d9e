import { meanOfRuns } from '../../worked/field/measured';
import type { RevisionRecord, RunRecord } from '../../car/records/records';

/** What a revision was measured at over a distance, and against the one that it came from. */
export interface Gain {
  readonly id: string;
  readonly speedMps?: number;
  /** Faster than its parent by so much, where both were measured. */
  readonly gainMps?: number;
  /** Of the fastest revision. */
  readonly share?: number;
}

/** The measured mean speed of each revision, in the order given. */
export function gainsOf(
  revisions: readonly Pick<RevisionRecord, 'id' | 'parentId'>[],
  runs: readonly RunRecord[],
): Gain[] {
  const measured = new Map(
    revisions.map(({ id }) => [
      id,
      meanOfRuns(
        runs.filter(({ revisionId }) => revisionId === id),
        'timedDistance',
      )?.mean,
    ]),
  );
  const fastest = Math.max(0, ...[...measured.values()].map((speed = 0) => speed));
  return revisions.map(({ id, parentId }) => {
    const speedMps = measured.get(id);
    const before = parentId === undefined ? undefined : measured.get(parentId);
    return {
      id,
      ...(speedMps === undefined ? {} : { speedMps, share: speedMps / fastest }),
      ...(speedMps === undefined || before === undefined ? {} : { gainMps: speedMps - before }),
    };
  });
}

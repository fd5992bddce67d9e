import type { BuildDocument } from '@/core/car/document/document';
import { effectsBetween } from '@/core/advice/effects/effects';
import { checksOnRecord } from '@/core/verdict/record';
import { nextChanges } from '@/core/advice/steps/nextChanges';
import { livesOfParts } from '@/core/worked/field/lives';
import type { FailureRecord, RevisionRecord, RunRecord } from '@/core/car/records/records';
import { timed } from './field';

const [RUNS, FAILURES] = [500, 200];

/** Figures of learning: a long record looked over, two revisions side by side, the next change. */
export function benchLearn(before: BuildDocument, after: BuildDocument): void {
  const revision = (id: string, document: BuildDocument, parentId?: string): RevisionRecord => ({
    id,
    buildId: 'b',
    letter: id.toUpperCase(),
    document,
    version: 1,
    createdAt: '',
    ...(parentId ? { parentId } : {}),
  });
  const revisions = [revision('a', before), revision('b', after, 'a')];
  const of = (at: number) => (at % 2 === 0 ? 'a' : 'b');
  const runs = Array.from({ length: RUNS }, (_, at): RunRecord => ({
    id: `r${at}`,
    revisionId: of(at),
    kind: 'terrain',
    attempts: [],
    conditions: {},
    drivenMinutes: 10 + (at % 20),
    ranAt: '',
    document: at % 2 === 0 ? before : after,
  }));
  const parts = after.parts.items;
  const failures = Array.from({ length: FAILURES }, (_, at): FailureRecord => ({
    id: `f${at}`,
    revisionId: of(at),
    partId: parts[at % parts.length]!.id,
    partName: parts[at % parts.length]!.name,
    mode: at % 3 === 0 ? 'crack' : 'loosening',
    occurredAt: '',
    hours: 1 + (at % 5),
    ...(at % 4 === 0 ? {} : { fix: 'mended', fixRevisionId: 'b' }),
    ledger: { lostMinutes: at },
  }));
  const record = { document: after, revisionId: 'b', revisions, runs, failures, prints: [], copies: [] };
  timed(`checks and lives of ${RUNS} runs and ${FAILURES} failures`, () => {
    checksOnRecord(record);
    livesOfParts(revisions, runs, failures);
  });
  timed('two revisions side by side', () => effectsBetween(before, after, {}));
  timed(`next change with ${RUNS} runs and ${FAILURES} failures`, () => nextChanges(record));
  timed('next change of the build alone', () => nextChanges({ ...record, runs: [], failures: [] }));
}

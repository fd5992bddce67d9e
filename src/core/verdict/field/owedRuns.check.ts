import { finding } from '../../base/finding';
import type { BuildDocument } from '../../car/document/document';
import type { RunRecord } from '../../car/records/records';
import { kindsThatAnswer, type RunKind, type Wish, WISHES } from '../../car/records/runKinds';
import { defineRecordCheck } from '../engine/check';
import { ownRuns } from '../engine/onRecord';

declare module '../../base/finding' {
  interface FindingFacts {
    'field.owed.none': Record<never, never>;
    'field.owed.some': { owed: readonly { kind: RunKind; wish: Wish }[] };
  }
}

/** Runs that a wish asks for and that this revision has not driven. */
export const owedRuns = (
  { brief }: BuildDocument,
  own: readonly RunRecord[],
): { kind: RunKind; wish: Wish }[] =>
  WISHES.flatMap((wish) => {
    const by = kindsThatAnswer(wish);
    return brief[wish.slice('brief.'.length) as keyof typeof brief] === undefined ||
      own.some(({ kind }) => by.includes(kind))
      ? []
      : by.slice(0, 1).map((kind) => ({ kind, wish }));
  });

/** Runs owed for an open wish. */
export const owed = defineRecordCheck({
  id: 'field.owed',
  at: { segment: 'field', side: 'runs' },
  quantity: 'count',
  kind: 'ceiling',
  find: (record) => {
    const own = ownRuns(record);
    if (own.length === 0) return { missing: ['runs'] };
    const list = owedRuns(record.document, own);
    return list.length === 0
      ? { state: 'clear', finding: finding('field.owed.none', {}) }
      : { value: list.length, state: 'tight', finding: finding('field.owed.some', { owed: list }) };
  },
});

import { finding } from '../../base/finding';
import type { BuildDocument } from '../../car/document/document';
import type { RunKind, RunRecord } from '../../car/records/records';
import { defineRecordCheck } from '../engine/check';
import { ownRuns } from '../engine/onRecord';

/** A wish of the brief that a run answers, by its path. */
export type Wish = 'brief.targetMps' | 'brief.timeToDistanceS' | 'brief.runTimeMinutes';

declare module '../../base/finding' {
  interface FindingFacts {
    'field.owed.none': Record<never, never>;
    'field.owed.some': { owed: readonly { kind: RunKind; wish: Wish }[] };
  }
}

const ANSWERS: readonly { wish: Wish; kind: RunKind; by: readonly RunKind[] }[] = [
  { wish: 'brief.targetMps', kind: 'timedDistance', by: ['timedDistance', 'track'] },
  { wish: 'brief.timeToDistanceS', kind: 'launch', by: ['launch'] },
  { wish: 'brief.runTimeMinutes', kind: 'endurance', by: ['endurance'] },
];

/** Runs that a wish asks for and that this revision has not driven. */
export const owedRuns = (
  { brief }: BuildDocument,
  own: readonly RunRecord[],
): { kind: RunKind; wish: Wish }[] =>
  ANSWERS.filter(
    ({ wish, by }) =>
      brief[wish.slice('brief.'.length) as keyof typeof brief] !== undefined &&
      !own.some(({ kind }) => by.includes(kind)),
  ).map(({ kind, wish }) => ({ kind, wish }));

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

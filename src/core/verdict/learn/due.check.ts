import { finding } from '../../base/finding';
import type { CopyRecord } from '../../car/records/prints';
import { livesOfCopies } from '../../worked/field/lives';
import { madeAs } from '../../worked/print/log';
import { defineRecordCheck } from '../engine/check';

declare module '../../base/finding' {
  interface FindingFacts {
    'learn.due.none': { copies: number };
    'learn.due.some': { parts: readonly string[] };
  }
}

/** Half of a part's mean life: then it is looked at. By judgement. */
const LOOK_AT = 0.5;

/** Copies that have run half of the mean life of their part, as it is drawn, and are still in use. */
export const due = defineRecordCheck({
  id: 'learn.due',
  at: { segment: 'learn', side: 'life' },
  quantity: 'count',
  kind: 'ceiling',
  find: ({ copies, runs, failures, revisions }) => {
    const lives = livesOfCopies(copies, runs);
    const hoursOn = (id: string) => lives.get(id)?.hours ?? 0;
    const drawnAs = ({ partId = '', ...made }: Pick<CopyRecord, 'design' | 'revisionId' | 'partId'>) =>
      `${partId} ${madeAs({ partId, ...made }, revisions) ?? ''}`;
    const failed = new Map<string, number>();
    for (const { partId, revisionId, ledger } of failures)
      if (partId !== undefined) {
        const copy = copies.find(({ id }) => id === ledger?.copyId);
        const key = drawnAs(copy ?? { partId, revisionId });
        failed.set(key, (failed.get(key) ?? 0) + 1);
      }
    const driven = new Map<string, number>();
    for (const copy of copies) driven.set(drawnAs(copy), (driven.get(drawnAs(copy)) ?? 0) + hoursOn(copy.id));
    const known = copies.filter(
      (copy) =>
        copy.partId !== undefined &&
        copy.retiredAt === undefined &&
        failed.has(drawnAs(copy)) &&
        driven.get(drawnAs(copy))! > 0,
    );
    if (known.length === 0) return { missing: ['copies:onTheCar'] };
    const list = known.filter((copy) => {
      const key = drawnAs(copy);
      return hoursOn(copy.id) > 0 && hoursOn(copy.id) >= (LOOK_AT * driven.get(key)!) / failed.get(key)!;
    });
    return list.length === 0
      ? { state: 'clear', finding: finding('learn.due.none', { copies: known.length }) }
      : {
          value: list.length,
          state: 'tight',
          finding: finding('learn.due.some', { parts: [...new Set(list.map(({ partName }) => partName))] }),
        };
  },
});

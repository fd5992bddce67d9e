import { finding } from '../../base/finding';
import { livesOfCopies } from '../../worked/field/lives';
import { defineRecordCheck } from '../engine/check';

declare module '../../base/finding' {
  interface FindingFacts {
    'learn.due.none': { copies: number };
    'learn.due.some': { parts: readonly string[] };
  }
}

/** Half of a part's mean life: then it is looked at. By judgement. */
const LOOK_AT = 0.5;

/** Copies that have run half of the mean life of their part and are still in use. */
export const due = defineRecordCheck({
  id: 'learn.due',
  at: { segment: 'learn', side: 'life' },
  quantity: 'count',
  kind: 'ceiling',
  find: ({ copies, runs, failures }) => {
    const lives = livesOfCopies(copies, runs);
    const hoursOn = (id: string) => lives.get(id)?.hours ?? 0;
    const counted = new Map<string, number>();
    for (const { partId } of failures)
      if (partId !== undefined) counted.set(partId, (counted.get(partId) ?? 0) + 1);
    const hoursOf = (partId: string) =>
      copies.filter((copy) => copy.partId === partId).reduce((sum, { id }) => sum + hoursOn(id), 0);
    const known = copies.filter(
      ({ partId, retiredAt }) =>
        partId !== undefined && retiredAt === undefined && counted.has(partId) && hoursOf(partId) > 0,
    );
    if (known.length === 0) return { missing: ['copies:onTheCar'] };
    const list = known.filter(
      ({ id, partId }) =>
        hoursOn(id) > 0 && hoursOn(id) >= (LOOK_AT * hoursOf(partId!)) / counted.get(partId!)!,
    );
    return list.length === 0
      ? { state: 'clear', finding: finding('learn.due.none', { copies: known.length }) }
      : {
          value: list.length,
          state: 'tight',
          finding: finding('learn.due.some', { parts: [...new Set(list.map(({ partName }) => partName))] }),
        };
  },
});

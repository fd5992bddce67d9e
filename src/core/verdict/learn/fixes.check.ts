import { finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';
import { hoursToBelieve } from '../../physics/statistics/life';
import { fixHeld } from '../../worked/field/lives';
import { defineRecordCheck } from '../engine/check';

declare module '../../base/finding' {
  interface FindingFacts {
    'learn.fix.again': { parts: readonly string[] };
    'learn.fix.held': { fixes: number };
    'learn.fix.young': { parts: readonly string[]; first: string; held: Measure; of: Measure };
  }
}

/** Asked of a fix where it is not known how long the part had lasted, h. By judgement. */
const UNKNOWN_H = 1;

/** Fixes that have not held for long enough to be believed. */
export const fixes = defineRecordCheck({
  id: 'learn.fix',
  at: { segment: 'learn', side: 'failures' },
  quantity: 'count',
  kind: 'ceiling',
  find: ({ failures, revisions, runs }) => {
    const fixed = failures.flatMap((failure) => {
      const held = fixHeld(failure, revisions, runs, failures);
      if (!held) return [];
      const { hours, failures: lives } = held.lived;
      return [
        {
          partName: failure.partName,
          ...held,
          asked: lives === 0 ? UNKNOWN_H : hoursToBelieve(hours, lives),
        },
      ];
    });
    if (fixed.length === 0) return { missing: ['failures:fix'] };
    const names = (list: typeof fixed) => list.map(({ partName }) => partName);
    const again = fixed.filter((one) => one.again > 0);
    if (again.length > 0)
      return {
        value: again.length,
        state: 'over',
        finding: finding('learn.fix.again', { parts: names(again) }),
      };
    const young = fixed.filter(({ hours, asked }) => hours < asked);
    if (young.length === 0)
      return { state: 'clear', finding: finding('learn.fix.held', { fixes: fixed.length }) };
    const first = young.reduce((a, b) => (b.asked - b.hours > a.asked - a.hours ? b : a));
    return {
      value: young.length,
      state: 'tight',
      finding: finding('learn.fix.young', {
        parts: names(young),
        first: first.partName,
        held: measure(first.hours, 'hours'),
        of: measure(first.asked, 'hours'),
      }),
    };
  },
});

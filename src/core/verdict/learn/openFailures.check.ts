import { finding } from '../../base/finding';
import { isOpen } from '../../car/records/openFailure';
import { defineRecordCheck } from '../engine/check';

declare module '../../base/finding' {
  interface FindingFacts {
    'learn.open.none': Record<never, never>;
    'learn.open.explained': { failures: number };
    'learn.open.some': { parts: readonly string[] };
  }
}

/** Failures without a fix or a verdict. */
export const openFailures = defineRecordCheck({
  id: 'learn.open',
  at: { segment: 'learn', side: 'failures' },
  quantity: 'count',
  kind: 'ceiling',
  find: ({ failures, runs }) => {
    if (failures.length === 0)
      return runs.length === 0
        ? { missing: ['runs:orFailure'] }
        : { state: 'clear', finding: finding('learn.open.none', {}) };
    const open = failures.filter(isOpen);
    return open.length === 0
      ? { state: 'clear', finding: finding('learn.open.explained', { failures: failures.length }) }
      : {
          value: open.length,
          state: 'tight',
          finding: finding('learn.open.some', { parts: open.map(({ partName }) => partName) }),
        };
  },
});

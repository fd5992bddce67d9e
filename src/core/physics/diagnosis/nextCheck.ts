import { type SeparatingCheck, TABLES } from './tables';
import { type Finding, finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.diagnosis.next': { minutes: Measure; causes: readonly string[]; share: Measure };
  }
}

const entropy = (x: number) => (x <= 0 || x >= 1 ? 0 : -x * Math.log2(x) - (1 - x) * Math.log2(1 - x));

/** Expected information of a check a minute; its answer is right as often as yes weighs. */
export function bitsPerMinute({ id, minutes }: SeparatingCheck, shares: ReadonlyMap<string, number>): number {
  const served = TABLES.causes
    .filter(({ check }) => check === id)
    .reduce((sum, cause) => sum + shares.get(cause.id)!, 0);
  const right = 1 / (1 + Math.exp(-TABLES.weights.checkYes));
  return (entropy(served * right + (1 - served) * (1 - right)) - entropy(right)) / minutes;
}

export function whyNext({ id, minutes }: SeparatingCheck, shares: ReadonlyMap<string, number>): Finding {
  const served = TABLES.causes.filter(({ check }) => check === id);
  const share = served.reduce((sum, cause) => sum + shares.get(cause.id)!, 0);
  return finding('note.diagnosis.next', {
    minutes: measure(minutes, 'minutes'),
    causes: served.map(({ means }) => means),
    share: measure(share, 'share', 2),
  });
}

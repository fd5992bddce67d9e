import type { Unlike, UnlikeCondition } from '@/core/advice/learn/groups';
import { formatText, type Reader } from '@/core/base/units/formatQuantity';
import { describeExchange } from '../labels/describe';
import { listed } from '../lists';

const CONDITIONS: Readonly<Record<UnlikeCondition, string>> = {
  ambientC: 'air',
  packVBefore: 'pack before',
  extraMassG: 'extra weight',
  distanceM: 'distance',
  runUpM: 'run-up',
};
const MOST_CHANGES = 3;

/** What was not alike between two groups of runs, each a clause of its own; of the build the first few. */
export function unlikeWords(found: readonly Unlike[], reader: Reader): string[] {
  const changes = found.filter(({ of }) => of === 'build');
  const said = [...found.filter(({ of }) => of !== 'build'), ...changes.slice(0, MOST_CHANGES)];
  const more = changes.length - MOST_CHANGES;
  return [...said.map((one) => clauseOf(one, reader)), ...(more > 0 ? [`${more} more of the build`] : [])];
}

function clauseOf(one: Unlike, reader: Reader): string {
  if ('exchange' in one) {
    const { label, before, after } = describeExchange(one.exchange, reader);
    return `${label.toLowerCase()}: ${before} against ${after}`;
  }
  if ('onOneSide' in one) return `${CONDITIONS[one.of]}: noted on one side only`;
  if (one.of === 'surface')
    return `surface: ${listed(one.a).toLowerCase()} against ${listed(one.b).toLowerCase()}`;
  const [a, b] = [one.a, one.b].map(({ value, quantity }) => formatText(value, quantity, reader));
  return `${CONDITIONS[one.of]}: ${a} against ${b}`;
}

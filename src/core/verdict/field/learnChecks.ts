import type { Found } from './checks';
import { isOpen } from '../../worked/field/ledger';
import { hoursToBelieve } from '../../physics/statistics/life';
import { fixHeld, livesOfCopies } from '../../worked/field/lives';
import type { FailureRecord, RevisionRecord, RunRecord } from '../../car/records/records';
import type { CopyRecord } from '../../car/records/prints';
import { plain } from '../../base/units/plain';

const MOST_NAMED = 3;
const names = (list: readonly string[]) =>
  list.length > MOST_NAMED
    ? `${list.slice(0, MOST_NAMED).join(', ')} and ${list.length - MOST_NAMED} more`
    : list.join(', ');

/** Failures without a fix or a verdict. */
export function openOf(failures: readonly FailureRecord[], runs: readonly RunRecord[]): Found {
  if (failures.length === 0)
    return runs.length === 0
      ? { state: 'unknown', why: 'Needs runs or a failure.', missing: ['runs or a failure'] }
      : { state: 'clear', why: 'Nothing has failed yet.' };
  const open = failures.filter(isOpen);
  if (open.length === 0)
    return { state: 'clear', why: `Each of ${failures.length} failures has its fix or its verdict.` };
  return {
    value: open.length,
    state: 'tight',
    why: `Not explained yet: ${names(open.map(({ partName }) => partName.toLowerCase()))}.`,
  };
}

/** Asked of a fix where it is not known how long the part had lasted. By judgement. */
const UNKNOWN_H = 1;

/** Fixes that have not held for long enough to be believed. */
export function fixesOf(
  failures: readonly FailureRecord[],
  revisions: readonly RevisionRecord[],
  runs: readonly RunRecord[],
): Found {
  const fixed = failures.flatMap((failure) => {
    const held = fixHeld(failure, revisions, runs, failures);
    return held
      ? [
          {
            failure,
            ...held,
            asked:
              failure.hours === undefined || failure.hours === 0 ? UNKNOWN_H : hoursToBelieve(failure.hours),
          },
        ]
      : [];
  });
  if (fixed.length === 0)
    return { state: 'unknown', why: 'Needs a fix that a revision carries.', missing: ['a fix'] };
  const again = fixed.filter((one) => one.again > 0);
  if (again.length > 0)
    return {
      value: again.length,
      state: 'over',
      why: `Failed again in the same way: ${names(again.map(({ failure }) => failure.partName.toLowerCase()))}.`,
    };
  const young = fixed.filter(({ hours, asked }) => hours < asked);
  if (young.length === 0)
    return {
      state: 'clear',
      why: `All ${fixed.length} fixes have held so long that, at 90 %, it lasts longer than before.`,
    };
  const first = young.reduce((a, b) => (b.asked - b.hours > a.asked - a.hours ? b : a));
  return {
    value: young.length,
    state: 'tight',
    why: `Not proven yet: ${names(young.map(({ failure }) => failure.partName.toLowerCase()))}; ${first.failure.partName.toLowerCase()} has held ${plain(first.hours)} of ${plain(first.asked)} h.`,
  };
}

/** Half of a part's mean life: then it is looked at. By judgement. */
const LOOK_AT = 0.5;

/** Copies that have run half of the mean life of their part and are still in use. */
export function dueOf(
  copies: readonly CopyRecord[],
  runs: readonly RunRecord[],
  failures: readonly FailureRecord[],
): Found {
  const lives = livesOfCopies(copies, runs);
  const counted = new Map<string, number>();
  for (const { partId } of failures)
    if (partId !== undefined) counted.set(partId, (counted.get(partId) ?? 0) + 1);
  const hoursOf = (partId: string) =>
    copies
      .filter((copy) => copy.partId === partId)
      .reduce((sum, { id }) => sum + (lives.get(id)?.hours ?? 0), 0);
  const known = copies.filter(
    ({ partId, retiredAt }) =>
      partId !== undefined && retiredAt === undefined && counted.has(partId) && hoursOf(partId) > 0,
  );
  if (known.length === 0)
    return {
      state: 'unknown',
      why: 'Needs runs that say which printed copies were on the car, and a failure of such a part.',
      missing: ['copies on the car'],
    };
  const due = known.filter(
    ({ id, partId }) =>
      (lives.get(id)?.hours ?? 0) >= (LOOK_AT * hoursOf(partId!)) / counted.get(partId!)! &&
      (lives.get(id)?.hours ?? 0) > 0,
  );
  if (due.length === 0)
    return { state: 'clear', why: `None of ${known.length} copies has run half of what its part lasts.` };
  return {
    value: due.length,
    state: 'tight',
    why: `Look at them before the next run: ${names([...new Set(due.map(({ partName }) => partName.toLowerCase()))])}.`,
  };
}

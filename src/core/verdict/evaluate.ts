import { CalcError } from '../base/errors';
import { applyPatch } from '../base/patch';
import type { ChosenSurface } from '../car/document/brief';
import type { BuildDocument } from '../car/document/document';
import { exchangesBetween } from '../car/document/exchange';
import { type Worked, worked } from '../worked/worked';
import type {
  Check,
  CheckRecord,
  Found,
  Proposal,
  Remedy,
  Standing,
  State,
  Thresholds,
} from './engine/check';
import { finding } from '../base/finding';
import { SEGMENTS, SIDES } from './engine/segments';
import { CHECKS, FAMILIES } from './registry';

const placeOf = ({ at: { segment, side } }: Pick<CheckRecord, 'at'>) =>
  SEGMENTS.indexOf(segment) * 100 + (SIDES[segment] as readonly string[]).indexOf(side);

/** In the order of the segments and their sides. */
const ORDERED = [...CHECKS].sort((a, b) => placeOf(a) - placeOf(b));

/** The checks of what a build has, and those of its rails, loads, aids and parts. */
const recordsOf = (document: BuildDocument): readonly CheckRecord[] => [
  ...ORDERED.filter(({ applies }) => applies?.(document) ?? true),
  ...FAMILIES.flatMap((family) => family.of(document)),
];

/** Margins under which a check is tight, where the workshop sets none of its own. */
export const DEFAULT_THRESHOLDS: Thresholds = Object.fromEntries(
  CHECKS.flatMap(({ id, tightUnder }) => (tightUnder === undefined ? [] : [[id, tightUnder]])),
);

const MOST_REMEDIES = 3;
const ORDER: Readonly<Record<State, number>> = { over: 0, tight: 1, unknown: 2, clear: 3 };
/** Margin of what has no load at all. */
const FREE = 1e6;

/** Worse first: by state, then by the smaller margin. */
export function byUrgency(a: Check, b: Check): number {
  return ORDER[a.state] - ORDER[b.state] || (a.margin ?? Infinity) - (b.margin ?? Infinity);
}

/** The states of the quick checks of a build on one surface, without remedies; the others wait for the worker. */
export function statesOn(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  thresholds: Thresholds = {},
): Check[] {
  const subject = worked(document, surface);
  return recordsOf(document).map((record) =>
    record.heavy ? { ...bare(record), state: 'unknown' } : evaluate(record, subject, thresholds),
  );
}

/** Ids of the checks that `statesOn` leaves to the worker. */
export const HEAVY_CHECKS: ReadonlySet<string> = new Set(
  CHECKS.filter(({ heavy }) => heavy).map(({ id }) => id),
);

/** All checks over every chosen surface: each stands for its worst surface, with the remedies that help there. */
export function evaluateBuild(document: BuildDocument, thresholds: Thresholds = {}): Check[] {
  return worstOf(document, thresholds).map((worst) => remedied(worst, thresholds));
}

/** The same with remedies for the most urgent check alone, because they are what takes long. */
export function evaluateMostUrgent(document: BuildDocument, thresholds: Thresholds = {}): Check[] {
  const found = worstOf(document, thresholds);
  const urgent = found
    .filter(({ check }) => check.state !== 'unknown')
    .sort((a, b) => byUrgency(a.check, b.check))[0];
  return found.map((worst) => (worst === urgent ? remedied(worst, thresholds) : worst.check));
}

/** The same without any remedy. */
export const evaluateStates = (document: BuildDocument, thresholds: Thresholds = {}): Check[] =>
  worstOf(document, thresholds).map(({ check }) => check);

/** The same without those that take long. */
export const evaluateQuick = (document: BuildDocument, thresholds: Thresholds = {}): Check[] =>
  worstOf(
    document,
    thresholds,
    recordsOf(document).filter(({ heavy }) => !heavy),
  ).map(({ check }) => check);

interface Worst {
  record: CheckRecord;
  subject: Worked;
  check: Check;
}

function worstOf(document: BuildDocument, thresholds: Thresholds, records = recordsOf(document)): Worst[] {
  const subjects = subjectsOf(document);
  return records.map((record) =>
    subjects
      .map((subject) => ({ record, subject, check: evaluate(record, subject, thresholds) }))
      .reduce((a, b) => (byUrgency(b.check, a.check) < 0 ? b : a)),
  );
}

/** A check whose remedies cannot be worked out stands without them. */
function remedied({ record, subject, check }: Worst, thresholds: Thresholds): Check {
  try {
    return { ...check, remedies: remediesFor(record, subject, check, thresholds) };
  } catch (error) {
    return error instanceof CalcError ? check : { ...check, fault: error as Error };
  }
}

function subjectsOf(document: BuildDocument): Worked[] {
  const { surfaces } = document.brief;
  return surfaces.length === 0
    ? [worked(document, undefined)]
    : surfaces.map((surface) => worked(document, surface));
}

const bare = ({ id, named, at, quantity, kind, countedTo }: CheckRecord) => ({
  id,
  ...(named === undefined ? {} : { named }),
  ...at,
  quantity,
  kind,
  ...(countedTo === undefined ? {} : { countedTo }),
  missing: [] as readonly string[],
  remedies: [] as readonly Remedy[],
});

function evaluate(record: CheckRecord, subject: Worked, thresholds: Thresholds): Check {
  const found = foundBy(record, subject);
  const base = {
    ...bare(record),
    ...(subject.surface && !record.anySurface ? { surface: subject.surface.name } : {}),
  };
  if ('missing' in found)
    return {
      ...base,
      state: 'unknown',
      missing: [...new Set(found.missing)],
      ...(found.finding ? { finding: found.finding } : {}),
      ...(found.fault ? { fault: found.fault } : {}),
    };
  const margin = marginOf(record, found);
  return {
    ...base,
    ...(found.value === undefined ? {} : { value: found.value }),
    ...(found.limit === undefined ? {} : { limit: found.limit }),
    ...(margin === undefined ? {} : { margin }),
    state: found.state ?? stateOf(margin!, thresholds[record.id] ?? record.tightUnder ?? 1),
    finding: found.finding,
    ...(found.working ? { working: found.working } : {}),
  };
}

/** What a check finds; one that cannot be worked out with these figures is unknown and stops no other. */
function foundBy(record: CheckRecord, subject: Worked): Found {
  try {
    return record.find(subject);
  } catch (error) {
    return {
      missing: [],
      finding: finding('check.refused', error instanceof CalcError ? { refused: error.refused } : {}),
      ...(error instanceof CalcError ? {} : { fault: error as Error }),
    };
  }
}

function marginOf(
  { kind }: CheckRecord,
  { value, limit, margin }: Exclude<Found, { missing: readonly string[] }>,
): number | undefined {
  if (margin !== undefined) return margin;
  if (kind === 'band' || limit === undefined || value === undefined) return undefined;
  if (kind === 'ceiling') return value === 0 ? FREE : limit / value;
  return limit === 0 ? FREE : value / limit;
}

function stateOf(margin: number, tightUnder: number): State {
  if (margin < 1) return 'over';
  return margin < tightUnder ? 'tight' : 'clear';
}

function remediesFor(
  record: CheckRecord,
  { document, surface, ...subject }: Worked,
  check: Check,
  thresholds: Thresholds,
): Remedy[] {
  if ((check.state !== 'over' && check.state !== 'tight') || !record.remedies) return [];
  return record
    .remedies({ document, surface, ...subject })
    .map((proposal) => {
      const changed = applyPatch(document, proposal.patch);
      return { proposal, changed, after: evaluate(record, worked(changed, surface), thresholds) };
    })
    .filter(({ after }) => helps(check, after))
    .sort((a, b) => byWorth(check, a, b))
    .slice(0, MOST_REMEDIES)
    .map(({ proposal, changed, after: { value, margin, state } }) => ({
      ...proposal,
      exchanges: exchangesBetween(document, changed),
      ...(value === undefined ? {} : { value }),
      ...(margin === undefined ? {} : { margin }),
      state,
    }));
}

/** Gains below these are none, and not worth an exchange. */
const [LEAST_GAIN, WORTH_SAYING] = [1e-6, 0.01];

/** How far a figure without a margin is from what it should be. */
const gapOf = ({ value = 0, limit = 0 }: Pick<Check, 'value' | 'limit'>) => Math.abs(limit - value);

const gainOf = (before: Check, after: Check) =>
  before.margin !== undefined && after.margin !== undefined
    ? after.margin - before.margin
    : ORDER[after.state] - ORDER[before.state] || gapOf(before) - gapOf(after);

const helps = (before: Check, after: Check) =>
  after.state !== 'unknown' &&
  (ORDER[after.state] > ORDER[before.state] ||
    (after.state === before.state &&
      gainOf(before, after) > Math.max(LEAST_GAIN, WORTH_SAYING * Math.abs(before.margin ?? 0))));

interface Tried {
  proposal: Proposal;
  after: Check;
}

/** The better state first, then the largest effect for the least cost. */
function byWorth(before: Check, a: Tried, b: Tried): number {
  return (
    ORDER[b.after.state] - ORDER[a.after.state] ||
    gainOf(before, b.after) / b.proposal.cost - gainOf(before, a.after) / a.proposal.cost
  );
}

/** Whether the second of two standings is the better one. */
export const isBetter = (before: Standing, after: Standing): boolean =>
  before.state === after.state
    ? (after.margin ?? 0) > (before.margin ?? 0)
    : ORDER[after.state] > ORDER[before.state];

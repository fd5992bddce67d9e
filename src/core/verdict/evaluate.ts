import { CalcError } from '../base/errors';
import { applyPatch } from '../base/patch';
import type { BuildDocument } from '../car/document/document';
import { exchangesBetween } from '../car/document/exchange';
import { type Worked, worked } from '../worked/worked';
import type { Check, CheckRecord, Proposal, Remedy, Standing, Thresholds } from './engine/check';
import { CHECKS, FAMILIES } from './registry';
import { byUrgency, checksOf, evaluate, inOrder, ORDER } from './states';

const ORDERED = inOrder(CHECKS);
const recordsOf = (document: BuildDocument): readonly CheckRecord[] => checksOf(ORDERED, FAMILIES, document);

const MOST_REMEDIES = 3;

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

/** Those alone that a part's own figures change: the quick ones, and those of the parts. */
export const evaluateWithParts = (document: BuildDocument, thresholds: Thresholds = {}): Check[] =>
  worstOf(
    document,
    thresholds,
    recordsOf(document).filter(({ heavy, at }) => !heavy || at.segment === 'parts'),
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

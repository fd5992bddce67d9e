import { briefChecks } from './brief/checks';
import type { ChosenSurface } from '../car/document/brief';
import type { BuildDocument } from '../car/document/document';
import { applyPatch } from '../base/patch';
import { chassisChecks } from './chassis/checks';
import { aidChecksOf } from './aids/aidChecks';
import { driveChecks } from './drive/checks';
import { heatChecks } from './drive/heatChecks';
import { jointChecks } from './drive/jointChecks';
import { layoutChecks } from './drive/layoutChecks';
import { shaftChecks } from './drive/shaftChecks';
import { toothChecks } from './drive/toothChecks';
import { tyreChecks } from './drive/tyreChecks';
import { gearChecks } from './drive/meshChecks';
import { powerChecks, supplyChecksOf } from './power/checks';
import { steeringEffort } from './power/servoCheck';
import { printChecks } from './print/checks';
import { partChecksOf } from './parts/checks';
import { suspensionChecks } from './suspension/checks';
import { CalcError } from '../base/errors';
import type { Check, CheckDefinition, Finding, Proposal, Remedy, State, Thresholds } from './engine/check';
import { type Subject, subjectOf } from '../worked/subject';
import { plain } from '../base/units/plain';

export const CHECK_DEFINITIONS: readonly CheckDefinition[] = [
  ...briefChecks,
  ...driveChecks,
  ...heatChecks,
  ...layoutChecks,
  ...gearChecks,
  ...toothChecks,
  ...jointChecks,
  ...shaftChecks,
  ...tyreChecks,
  ...powerChecks,
  ...chassisChecks,
  ...suspensionChecks,
  steeringEffort,
  ...printChecks,
];

/** The checks of every build, and those of the rails, loads, aids and parts that this one has. */
const definitionsOf = (document: BuildDocument): readonly CheckDefinition[] => [
  ...CHECK_DEFINITIONS,
  ...supplyChecksOf(document),
  ...aidChecksOf(document),
  ...partChecksOf(document),
];

/** Margins under which a check is tight, where the workshop sets none of its own. */
export const DEFAULT_THRESHOLDS: Thresholds = Object.fromEntries(
  CHECK_DEFINITIONS.flatMap(({ id, tightUnder }) => (tightUnder === undefined ? [] : [[id, tightUnder]])),
);

const MOST_REMEDIES = 3;
const ORDER: Readonly<Record<State, number>> = { over: 0, tight: 1, unknown: 2, clear: 3 };

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
  const subject = subjectOf(document, surface);
  return definitionsOf(document).map((definition) =>
    definition.heavy ? waiting(definition) : evaluate(definition, subject, thresholds),
  );
}

const waiting = ({ id, segment, title, short, quantity, kind }: CheckDefinition): Check => ({
  id,
  segment,
  title,
  short,
  quantity,
  kind,
  state: 'unknown',
  why: 'Being worked out.',
  missing: [],
  working: [],
  remedies: [],
});

/** Ids of the checks that `statesOn` leaves to the worker. */
export const HEAVY_CHECKS: ReadonlySet<string> = new Set(
  CHECK_DEFINITIONS.filter(({ heavy }) => heavy).map(({ id }) => id),
);

/** All checks over every chosen surface: each stands for its worst surface, with the remedies that help there. */
export function evaluateBuild(document: BuildDocument, thresholds: Thresholds = {}): Check[] {
  return worstOf(document, thresholds).map((worst) => remedied(worst, thresholds));
}

/** The same for an overview: remedies for the most urgent check alone, because they are what takes long. */
export function overlookBuild(document: BuildDocument, thresholds: Thresholds = {}): Check[] {
  const found = worstOf(document, thresholds);
  const urgent = found
    .filter(({ check }) => check.state !== 'unknown')
    .sort((a, b) => byUrgency(a.check, b.check))[0];
  return found.map((worst) => (worst === urgent ? remedied(worst, thresholds) : worst.check));
}

/** The same without any remedy. */
export const weighBuild = (document: BuildDocument, thresholds: Thresholds = {}): Check[] =>
  worstOf(document, thresholds).map(({ check }) => check);

/** The same without those that take long. */
export const lightOf = (document: BuildDocument, thresholds: Thresholds = {}): Check[] =>
  worstOf(
    document,
    thresholds,
    definitionsOf(document).filter(({ heavy }) => !heavy),
  ).map(({ check }) => check);

interface Worst {
  definition: CheckDefinition;
  subject: Subject;
  check: Check;
}

function worstOf(
  document: BuildDocument,
  thresholds: Thresholds,
  definitions = definitionsOf(document),
): Worst[] {
  const subjects = subjectsOf(document);
  return definitions.map((definition) =>
    subjects
      .map((subject) => ({ definition, subject, check: evaluate(definition, subject, thresholds) }))
      .reduce((a, b) => (byUrgency(b.check, a.check) < 0 ? b : a)),
  );
}

/** A check whose remedies cannot be worked out stands without them. */
function remedied({ definition, subject, check }: Worst, thresholds: Thresholds): Check {
  try {
    return { ...check, remedies: remediesFor(definition, subject, check, thresholds) };
  } catch (error) {
    return error instanceof CalcError ? check : { ...check, fault: error as Error };
  }
}

function subjectsOf(document: BuildDocument): Subject[] {
  const { surfaces } = document.brief;
  return surfaces.length === 0
    ? [subjectOf(document, undefined)]
    : surfaces.map((surface) => subjectOf(document, surface));
}

function evaluate(definition: CheckDefinition, subject: Subject, thresholds: Thresholds): Check {
  const { id, segment, title, short, quantity, kind } = definition;
  const finding = foundBy(definition, subject);
  const base = {
    id,
    segment,
    title,
    short,
    quantity,
    kind,
    remedies: [],
    ...(subject.surface && !definition.anySurface ? { surface: subject.surface.name } : {}),
  };
  if ('missing' in finding) {
    return {
      ...base,
      state: 'unknown',
      why: `Needs ${finding.missing.join(', ')}.`,
      missing: finding.missing,
      working: [],
      ...(finding.fault ? { fault: finding.fault } : {}),
    };
  }
  const margin = marginOf(definition, finding);
  return {
    ...base,
    ...(finding.value === undefined ? {} : { value: finding.value }),
    ...(finding.limit === undefined ? {} : { limit: finding.limit }),
    ...(margin === undefined ? {} : { margin }),
    state: finding.state ?? stateOf(margin!, thresholds[id] ?? definition.tightUnder ?? 1),
    why: finding.why,
    missing: [],
    working: finding.working,
  };
}

/** What a check finds; one that cannot be worked out with these figures is unknown and stops no other. */
function foundBy(definition: CheckDefinition, subject: Subject): Finding {
  try {
    return definition.evaluate(subject);
  } catch (error) {
    return {
      missing: [`figures that go together${error instanceof CalcError ? ` (${error.message})` : ''}`],
      ...(error instanceof CalcError ? {} : { fault: error as Error }),
    };
  }
}

function marginOf(
  { kind }: CheckDefinition,
  { value, limit, margin }: Exclude<Finding, { missing: readonly string[] }>,
): number | undefined {
  if (margin !== undefined) return margin;
  if (kind === 'band' || limit === undefined || value === undefined) return undefined;
  if (kind === 'ceiling') return value === 0 ? 1e6 : limit / value;
  return limit === 0 ? 1e6 : value / limit;
}

function stateOf(margin: number, tightUnder: number): State {
  if (margin < 1) return 'over';
  return margin < tightUnder ? 'tight' : 'clear';
}

function remediesFor(
  definition: CheckDefinition,
  subject: Subject,
  check: Check,
  thresholds: Thresholds,
): Remedy[] {
  if ((check.state !== 'over' && check.state !== 'tight') || !definition.propose) return [];
  const tried = definition
    .propose(subject)
    .map((proposal) => ({ proposal, after: tryOut(definition, subject, proposal, thresholds) }));
  return tried
    .filter(({ after }) => helps(check, after))
    .sort((a, b) => byWorth(check, a, b))
    .slice(0, MOST_REMEDIES)
    .map(({ proposal, after }) => ({
      text: proposal.text,
      patch: proposal.patch,
      cost: proposal.cost,
      effect: effectOf(check, after),
      ...(after.value === undefined ? {} : { value: after.value }),
      state: after.state,
    }));
}

function tryOut(
  definition: CheckDefinition,
  { document, surface }: Subject,
  proposal: Proposal,
  thresholds: Thresholds,
): Check {
  return evaluate(definition, subjectOf(applyPatch(document, proposal.patch), surface), thresholds);
}

const gainOf = (before: Check, after: Check) =>
  before.margin !== undefined && after.margin !== undefined
    ? after.margin - before.margin
    : ORDER[after.state] - ORDER[before.state] ||
      Math.abs((before.limit ?? 0) - (before.value ?? 0)) - Math.abs((after.limit ?? 0) - (after.value ?? 0));

const helps = (before: Check, after: Check) =>
  ORDER[after.state] >= ORDER[before.state] && after.state !== 'unknown' && gainOf(before, after) > 1e-9;

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

function effectOf(before: Check, after: Check): string {
  if (before.margin === undefined || after.margin === undefined) {
    const [scale, unit] =
      before.quantity === 'share' ? [100, ' %'] : before.quantity === 'percent' ? [1, ' %'] : [1, ''];
    const figures =
      before.value !== undefined && after.value !== undefined
        ? `${plain(scale * before.value)} to ${plain(scale * after.value)}${unit}`
        : '';
    return after.state === before.state
      ? figures
      : `${before.state} to ${after.state}${figures ? `, ${figures}` : ''}`;
  }
  return `margin ${before.margin.toFixed(2)} to ${after.margin.toFixed(2)}`;
}

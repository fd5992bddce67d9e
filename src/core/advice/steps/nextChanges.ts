import type { PrinterTimes } from '../../worked/print/printerTimes';
import { finding } from '../../base/finding';
import type { BuildDocument } from '../../car/document/document';
import { applyPatch, type Patch } from '../../base/patch';
import type { Check, Remedy, Thresholds } from '../../verdict/engine/check';
import type { FailureRecord } from '../../car/records/records';
import { diagnosisMargins } from '../learn/margins';
import { movedBy, type MovedCheck } from '../effects/effects';
import { evaluateBuild, evaluateStates, evaluateWithParts, isBetter } from '../../verdict/evaluate';
import type { BuildOnRecord } from '../../verdict/engine/onRecord';
import { costOf } from './cost';
import { type NextCost, type NextList, type NextStep, PRINTER_SHARE, WEIGHTS } from './definition';
import { type MarginsOf, openSteps } from './openSteps';
import { standingAt } from './standing';
import { trialOf } from './trial';
import { whereFilledIn } from './whereFilledIn';
import type { Segment } from '../../verdict/engine/segments';
import { failuresBehind, unmended, weightOf } from './weight';

declare module '../../base/finding' {
  interface FindingFacts {
    'step.brokeBefore': { parts: readonly string[] };
    'step.drowns': { runs: number };
  }
}

const [MIN_PER_H, S_PER_H] = [60, 3600];
/** Remedies that are tried for a check that is over, and for one that is tight. */
const TRIED = { over: 2, tight: 1 } as const;
const MOST_TRIED = 10;
/** Changes with more attempts on each side are better measured first. */
const MANY_RUNS = 20;
/** Minutes that one attempt takes with all around it. By judgement. */
const ATTEMPT_MINUTES = 4;
const MOST_COUNTED = 10;
const [MOST_MOVED, LEAST_RELIEF] = [3, 0.02];

/**
 * What to do next with a build, the most weight taken off in an hour of work first.
 *
 * A change is weighed by every check of the build with it in place, so that one that mends a check and spoils another is seen to.
 *
 * @param times that prints took over their estimate
 */
export function nextChanges(
  given: BuildOnRecord,
  thresholds: Thresholds = {},
  times: PrinterTimes = [],
): NextList {
  const { record, past } = standingAt(given);
  const { document } = record;
  const checks = evaluateBuild(document, thresholds);
  const coming = unmended(record);
  const changes = proposalsOf(checks).map((offered) =>
    changeStep(offered, {
      record,
      checks,
      coming,
      times,
      after: tried(document, offered.remedy.patch, checks, thresholds),
    }),
  );
  const others = openSteps(record, checks, times, marginsBy(document, checks, thresholds))
    .filter(({ kind, segment }) => !past || kind === 'find' || (kind === 'measure' && segment !== 'field'))
    .map((bare) => withHours({ figures: [], betters: [], worsens: [], ...bare }));
  const steps = [...oncePerThing(changes.filter(({ relief }) => relief > LEAST_RELIEF)), ...others].sort(
    (a, b) => b.relief / b.hours - a.relief / a.hours,
  );
  return {
    steps,
    measureFirst: steps[0] !== undefined && (steps[0].kind === 'find' || steps[0].kind === 'measure'),
  };
}

interface Tried {
  record: BuildOnRecord;
  checks: readonly Check[];
  /** Failures that this revision still has coming. */
  coming: readonly FailureRecord[];
  times: PrinterTimes;
  /** All checks with the change in place. */
  after: readonly Check[];
}

/** What a step tells of its check. */
const toldOf = ({ id, named, state, finding: found, missing }: Check): NextStep['check'] => ({
  id,
  ...(named ? { named } : {}),
  state,
  ...(found ? { finding: found } : {}),
  missing,
});

/** A change with what it betters and worsens, what it costs, and how to see that it worked. */
function changeStep({ check, remedy }: Offered, { record, checks, coming, times, after }: Tried): NextStep {
  const { figures, checks: moved } = movedBy(checks, after, Infinity);
  const [betters, worsens] = [true, false].map((better) =>
    moved.filter((one) => isBetter(one.before, one.after) === better).slice(0, MOST_MOVED),
  ) as [MovedCheck[], MovedCheck[]];
  const weight = (list: readonly Check[]) => list.reduce((sum, one) => sum + weightOf(one, coming), 0);
  const trial = trialOf(
    check,
    { value: after.find(({ id }) => id === check.id)?.value ?? remedy.value! },
    record.runs,
  );
  const behind = failuresBehind(check, coming);
  const many = (trial.runs ?? 0) > MANY_RUNS;
  const why = [
    ...(behind.length > 0
      ? [finding('step.brokeBefore', { parts: behind.map(({ partName }) => partName) })]
      : []),
    ...(many ? [finding('step.drowns', { runs: trial.runs! })] : []),
  ];
  return withHours({
    id: `change:${JSON.stringify(remedy.patch)}`,
    kind: many ? 'measure' : 'change',
    segment: seenOn(check, remedy),
    remedy,
    check: toldOf(check),
    patch: remedy.patch,
    figures,
    betters,
    worsens,
    why,
    cost: costOf(record.document, remedy.patch, remedy.cost, times),
    trial,
    relief: weight(checks) - weight(after),
  });
}

/** A change is seen where its check stands; a wish is met where what changes is filled in. */
const seenOn = ({ segment }: Check, { patch }: Remedy): Segment =>
  segment === 'brief' ? whereFilledIn(patch[0]!.path.join('.')) : segment;

/**
 * The first step at a glance: the remedy of the most urgent check by what it does to that check alone,
 * against everything that is no change.
 */
export function firstStep(record: BuildOnRecord, checks: readonly Check[]): NextStep | undefined {
  const coming = unmended(record);
  const offered = proposalsOf(checks)[0];
  const change =
    offered &&
    withHours({
      id: `change:${JSON.stringify(offered.remedy.patch)}`,
      kind: 'change',
      segment: seenOn(offered.check, offered.remedy),
      remedy: offered.remedy,
      check: toldOf(offered.check),
      patch: offered.remedy.patch,
      figures: [],
      betters: [],
      worsens: [],
      why: [],
      cost: costOf(record.document, offered.remedy.patch, offered.remedy.cost),
      trial: trialOf(offered.check, offered.remedy, record.runs),
      relief:
        weightOf(offered.check, coming) -
        weightOf({ id: offered.check.id, state: offered.remedy.state }, coming),
    });
  const others = openSteps(record, checks, [], () => ({})).map((bare) =>
    withHours({ figures: [], betters: [], worsens: [], ...bare }),
  );
  return [...(change ? [change] : []), ...others].sort((a, b) => b.relief / b.hours - a.relief / a.hours)[0];
}

/** Margins of this build and of others that failed, each worked out once. */
function marginsBy(document: BuildDocument, checks: readonly Check[], thresholds: Thresholds): MarginsOf {
  const known = new Map<BuildDocument, Readonly<Record<string, number>>>();
  return (asked) => {
    const found =
      known.get(asked) ??
      diagnosisMargins(asked, asked === document ? checks : evaluateStates(asked, thresholds));
    known.set(asked, found);
    return found;
  };
}

interface Offered {
  check: Check;
  remedy: Remedy;
}

/** Remedies worth a try, those of the worst checks first, each patch once. */
function proposalsOf(checks: readonly Check[]): Offered[] {
  const bad = checks
    .filter(({ state }) => state === 'over' || state === 'tight')
    .sort((a, b) => WEIGHTS[b.state] - WEIGHTS[a.state] || (a.margin ?? 1) - (b.margin ?? 1));
  const offered = bad.flatMap((check) =>
    check.remedies.slice(0, TRIED[check.state as 'over' | 'tight']).map((remedy) => ({ check, remedy })),
  );
  const seen = new Set<string>();
  return offered
    .filter(({ remedy }) => {
      const key = JSON.stringify(remedy.patch);
      return !seen.has(key) && seen.add(key);
    })
    .slice(0, MOST_TRIED);
}

/** What only a part's own figures change leaves every long computation as it was. */
function tried(
  document: BuildDocument,
  patch: Patch,
  checks: readonly Check[],
  thresholds: Thresholds,
): Check[] {
  const after = applyPatch(document, patch);
  const own = patch.every(({ path }) => path[0] === 'parts' && path[3] !== undefined && path[3] !== 'massG');
  if (!own) return evaluateStates(after, thresholds);
  const fresh = evaluateWithParts(after, thresholds);
  const known = new Set(fresh.map(({ id }) => id));
  return [...fresh, ...checks.filter(({ id }) => !known.has(id))];
}

/** Of several changes of the same figures the one that takes most off in an hour. */
function oncePerThing(steps: readonly NextStep[]): NextStep[] {
  const best = new Map<string, NextStep>();
  for (const one of steps) {
    const key = one
      .patch!.map(({ path }) => path.slice(0, 4).join('.'))
      .sort()
      .join(' ');
    const known = best.get(key);
    if (!known || one.relief / one.hours > known.relief / known.hours) best.set(key, one);
  }
  return [...best.values()];
}

const withHours = (one: Omit<NextStep, 'hours'>): NextStep => ({ ...one, hours: hoursOf(one) });

/** The builder's hours: on the bench, at the trial of a change, and a share of the printer's. */
function hoursOf({
  cost: { benchMinutes, printS = 0 },
  trial,
  kind,
}: {
  cost: NextCost;
  trial?: NextStep['trial'];
  kind: NextStep['kind'];
}): number {
  const trials = kind === 'change' ? ATTEMPT_MINUTES * Math.min(MOST_COUNTED, trial?.runs ?? 1) : 0;
  return (benchMinutes + trials) / MIN_PER_H + (PRINTER_SHARE * printS) / S_PER_H;
}

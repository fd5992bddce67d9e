import { finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';
import { type RunKind, type Wish } from '../../car/records/runKinds';
import type { WearPlace } from '../../car/records/prints';
import type { Check } from '../../verdict/engine/check';
import type { BuildDocument } from '../../car/document/document';
import { failureDiagnose } from '../../physics/diagnosis/diagnose';
import { askDiagnosis } from '../../worked/field/ledger';
import { isOpen } from '../../car/records/openFailure';
import { hoursToBelieve } from '../../physics/statistics/life';
import { fixHeld, type HeldFix, livesOfCopies } from '../../worked/field/lives';
import type { PrinterTimes } from '../../worked/print/printerTimes';
import type { Wear } from '../../worked/field/wear';
import type { BuildOnRecord } from '../../verdict/engine/onRecord';
import { whereFilledIn } from './whereFilledIn';
import { lifeToBelieve } from './trial';
import { copiesWorn, partsToPrint } from './printSteps';
import { type Bare, MINUTES, RELIEF, step } from './bareStep';
import { predictionToMend, runsToDrive } from './drivingSteps';

declare module '../../base/finding' {
  interface FindingFacts {
    'step.findWhy': { part: string; mode: string; modeWords?: string | undefined };
    'step.notExplained': { cost?: Measure };
    'step.suspect': { means: string };
    'step.lookFirst': { ask: string };
    'step.openAgain': { part: string };
    'step.takeFixOver': { part: string };
    'step.fixHeld': { fix: string; held: HeldFix };
    'step.hiddenFault': Record<never, never>;
    'step.predictionOff': Record<never, never>;
    'step.leansOnIt': Record<never, never>;
    'step.calibrateThenGear': Record<never, never>;
    'step.tooHopeful': Record<never, never>;
    'step.moreRuns': Record<never, never>;
    'step.driveOwed': { kind: RunKind };
    'step.notAnswered': { wish: Wish };
    'step.fillIn': { need: string };
    'step.checksWait': { checks: readonly { id: string; named?: string }[] };
    'step.printAnother': { part: string };
    'step.worn': { of: WearPlace; wear: Wear };
    'step.printOwed': { owed: readonly { part: string; count: number }[] };
    'step.spareReady': Record<never, never>;
    'step.driveOn': { more: Measure };
    'step.fixesYoung': { parts: readonly string[] };
    'trial.insideBand': Record<never, never>;
    'trial.attempts': { attempts: number };
    'trial.onePack': Record<never, never>;
    'trial.threeSpread': Record<never, never>;
  }
}

/** What a missing figure is worth while something known is over. */
const AFTER_OVER = 0.5;

const MOST_NAMED = 3;

/** Margins of a build as a diagnosis asks for them. */
export type MarginsOf = (document: BuildDocument) => Readonly<Record<string, number>>;

/** Steps that find something out, print something or prove something, rather than change it. */
export function openSteps(
  record: BuildOnRecord,
  checks: readonly Check[],
  printed: PrinterTimes,
  marginsOf: MarginsOf,
): Bare[] {
  return [
    ...failuresToExplain(record, marginsOf),
    ...fixesThatFailed(record),
    ...predictionToMend(record),
    ...runsToDrive(record, checks),
    ...figuresToFill(checks),
    ...copiesWorn(record, printed),
    ...partsToPrint(record, printed),
    ...fixesToProve(record),
  ];
}

/** Open failures that can be looked into: each with the check that tells most a minute. */
function failuresToExplain(
  { document, failures, runs, revisions, copies, revisionId }: BuildOnRecord,
  marginsOf: MarginsOf,
): Bare[] {
  return failures.filter(isOpen).map((failure) => {
    const built =
      failure.revisionId === revisionId
        ? document
        : (revisions.find(({ id }) => id === failure.revisionId)?.document ?? document);
    const lived =
      failure.ledger?.copyId === undefined
        ? undefined
        : livesOfCopies(copies, runs).get(failure.ledger.copyId)?.hours;
    const { input } = askDiagnosis(
      failure,
      built,
      runs.find(({ id }) => id === failure.runId),
      marginsOf(built),
      lived,
    );
    const { nextCheck, suspects } = failureDiagnose(input);
    const lost = failure.ledger?.lostMinutes ?? 0;
    return step({
      id: `find:${failure.id}`,
      kind: 'find',
      segment: 'learn',
      failureId: failure.id,
      title: finding('step.findWhy', {
        part: failure.partName,
        mode: failure.mode,
        modeWords: failure.ledger?.modeWords,
      }),
      why: [
        finding('step.notExplained', { ...(lost > 0 ? { cost: measure(lost, 'minutes', 2) } : {}) }),
        ...(suspects[0] ? [finding('step.suspect', { means: suspects[0].means })] : []),
        ...(nextCheck ? [finding('step.lookFirst', { ask: nextCheck.ask })] : []),
      ],
      cost: { benchMinutes: Math.max(MINUTES.find, nextCheck?.minutes ?? 0) },
      relief: RELIEF.open * (1 + lost / 120),
    });
  });
}

function fixesThatFailed({ failures, revisions, runs, revisionId }: BuildOnRecord): Bare[] {
  return failures.flatMap((failure) => {
    const held = fixHeld(failure, revisions, runs, failures, revisionId);
    if (!held || (held.again === 0 && !held.lost)) return [];
    return [
      step({
        id: `again:${failure.id}`,
        kind: 'find',
        segment: 'learn',
        failureId: failure.id,
        title: finding(held.again > 0 ? 'step.openAgain' : 'step.takeFixOver', { part: failure.partName }),
        why: [
          finding('step.fixHeld', { fix: failure.fix ?? '', held }),
          ...(held.again > 0 ? [finding('step.hiddenFault', {})] : []),
        ],
        cost: { benchMinutes: MINUTES.find },
        relief: RELIEF.again,
      }),
    ];
  });
}

/** Figures that checks wait for, those that most wait for first. */
function figuresToFill(checks: readonly Check[]): Bare[] {
  const waiting = new Map<string, Check[]>();
  for (const check of checks)
    if (check.state === 'unknown' && check.segment !== 'learn' && check.segment !== 'field')
      for (const missing of check.missing) waiting.set(missing, [...(waiting.get(missing) ?? []), check]);
  return [...waiting]
    .sort((a, b) => b[1].length - a[1].length)
    .slice(0, MOST_NAMED)
    .map(([missing, own]) =>
      step({
        id: `fill:${missing}`,
        kind: 'measure',
        segment: whereFilledIn(missing),
        title: finding('step.fillIn', { need: missing }),
        why: [
          finding('step.checksWait', {
            checks: own.map(({ id, named }) => ({ id, ...(named ? { named } : {}) })),
          }),
        ],
        cost: { benchMinutes: MINUTES.fill },
        relief:
          RELIEF.unknown *
          Math.sqrt(own.length) *
          (checks.some(({ state }) => state === 'over') ? AFTER_OVER : 1),
      }),
    );
}

/** The fix that is furthest from being believed. */
function fixesToProve({ failures, revisions, runs, revisionId }: BuildOnRecord): Bare[] {
  const young = failures.flatMap((failure) => {
    const held = fixHeld(failure, revisions, runs, failures, revisionId);
    const asked =
      held && held.lived.failures > 0 ? hoursToBelieve(held.lived.hours, held.lived.failures) : undefined;
    return held && !held.lost && held.again === 0 && asked !== undefined && held.hours < asked
      ? [{ failure, held, left: asked - held.hours }]
      : [];
  });
  if (young.length === 0) return [];
  const most = young.reduce((a, b) => (b.left > a.left ? b : a));
  return [
    step({
      id: 'prove:fixes',
      kind: 'prove',
      segment: 'field',
      title: finding('step.driveOn', { more: measure(most.left, 'hours', 2) }),
      why: [
        finding('step.fixesYoung', { parts: young.map(({ failure }) => failure.partName) }),
        lifeToBelieve(most.held.lived),
      ],
      cost: { benchMinutes: most.left * 60 },
      relief: RELIEF.young * young.length,
      trial: {
        run: 'terrain',
        how: 'driveAsMeant',
        enough: lifeToBelieve(most.held.lived),
      },
    }),
  ];
}

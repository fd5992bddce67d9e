import type { BuildDocument } from '../../car/document/document';
import { bandOf, goalOf, owedRuns } from '../../verdict/field/checks';
import { failureDiagnose } from '../../physics/diagnosis/diagnose';
import { failedHow } from '../../car/records/failureModes';
import { askDiagnosis, isOpen } from '../../worked/field/ledger';
import { hoursToBelieve } from '../../physics/statistics/life';
import { fixHeld, livesOfCopies } from '../../worked/field/lives';
import { RUN_KIND_NAMES } from '../../car/records/records';
import { wearOf } from '../../worked/field/wear';
import { owedOf } from '../../worked/print/log';
import { estimateOfPart } from '../../worked/print/printed';
import { plain } from '../../base/units/plain';
import { inSentence, withoutStop } from '../../base/units/words';
import type { Check } from '../../verdict/engine/check';
import type { BuildOnRecord } from '../../verdict/record';
import type { NextCost, NextStep } from './definition';
import { whereFilledIn } from './whereFilledIn';
import { lifeWords, pooledSpread } from './trial';

type Bare = Omit<NextStep, 'figures' | 'betters' | 'worsens' | 'hours'>;

/** Reliefs and minutes of what is no change. By judgement. */
const RELIEF = {
  open: 1,
  again: 2,
  band: 1.2,
  goal: 0.6,
  owed: 0.6,
  first: 1.5,
  unknown: 0.25,
  queue: 0.5,
  worn: 0.8,
  young: 0.2,
} as const;
const MINUTES = { find: 15, run: 15, fill: 20, plate: 10, around: 10 } as const;
/** What a run is worth while the car is not fit for it. */
const NOT_READY = 0.2;
/** What a missing figure is worth while something known is over. */
const AFTER_OVER = 0.5;
const MOST_NAMED = 3;
const WORN_SOON_H = 2;

/** Margins of a build as a diagnosis asks for them. */
export type MarginsOf = (document: BuildDocument) => Readonly<Record<string, number>>;

const step = (given: Bare): Bare => given;

/** Steps that find something out, print something or prove something, rather than change it. */
export function openSteps(
  record: BuildOnRecord,
  checks: readonly Check[],
  calibration: number,
  marginsOf: MarginsOf,
): Bare[] {
  return [
    ...failuresToExplain(record, marginsOf),
    ...fixesThatFailed(record),
    ...predictionToMend(record),
    ...runsToDrive(record, checks),
    ...figuresToFill(checks),
    ...copiesWorn(record, calibration),
    ...partsToPrint(record, calibration),
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
      title: `Find out why: ${inSentence(failure.partName)}, ${inSentence(failedHow(failure))}`,
      why: [
        `It is not explained, so what is changed now is a guess${lost > 0 ? `; it cost ${plain(lost, 2)} min` : ''}.`,
        ...(suspects[0] ? [`First suspect: ${suspects[0].means}.`] : []),
        ...(nextCheck ? [`Look first: ${nextCheck.ask}`] : []),
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
        title:
          held.again > 0
            ? `Open it again: the fix of ${inSentence(failure.partName)} did not hold`
            : `Take the fix of ${inSentence(failure.partName)} over`,
        why: [
          `${withoutStop(failure.fix ?? '')}: ${held.words}.`,
          ...(held.again > 0
            ? ['One fault can hide another: look at the suspects again with what has changed since.']
            : []),
        ],
        cost: { benchMinutes: MINUTES.find },
        relief: RELIEF.again,
      }),
    ];
  });
}

/** Where measurement and prediction do not agree, or do not yet say which side of the wish the car is on. */
function predictionToMend({ document, runs, revisionId }: BuildOnRecord): Bare[] {
  const own = runs.filter((run) => run.revisionId === revisionId);
  const band = bandOf(own);
  const goal = goalOf(document, own);
  const spread = pooledSpread(own) ?? pooledSpread(runs);
  const gap =
    goal.value !== undefined && goal.limit !== undefined ? Math.abs(goal.value - goal.limit) : undefined;
  const needed =
    spread !== undefined && gap !== undefined && gap > 0 ? Math.ceil(((2 * spread) / gap) ** 2) : undefined;
  return [
    ...(band.state === 'over' || band.state === 'tight'
      ? [
          step({
            id: 'measure:band',
            kind: 'measure',
            segment: 'field',
            title: 'Find out why the prediction does not hold',
            why: [band.why, 'Every figure below leans on that prediction.'],
            cost: { benchMinutes: MINUTES.find },
            relief: RELIEF.band,
            trial: {
              run: 'look',
              how: 'work the runs back to the figures of the model, and weigh the car as it was driven',
              enough: 'Enough when the next run lies inside its band.',
            },
          }),
        ]
      : []),
    ...(goal.state === 'over' && band.state === 'clear'
      ? [
          step({
            id: 'measure:missed',
            kind: 'measure',
            segment: 'field',
            title: 'Take what the runs say into the figures, then gear for the wish',
            why: [
              goal.why,
              'The prediction holds within its band, and the wish lies just outside what was driven: the figures are a little too hopeful.',
            ],
            cost: { benchMinutes: MINUTES.find },
            relief: RELIEF.band,
            trial: {
              run: 'timedDistance',
              how: 'work the runs back to the figures of the model, choose the gear anew, and time the same distance',
              enough: 'Three on each side, to see how much they spread.',
            },
          }),
        ]
      : []),
    ...(goal.state === 'tight' && needed !== undefined
      ? [
          step({
            id: 'measure:goal',
            kind: 'measure',
            segment: 'field',
            title: 'Drive more timed passages before changing anything for speed',
            why: [goal.why],
            cost: { benchMinutes: MINUTES.run },
            relief: RELIEF.goal,
            trial: {
              run: 'timedDistance',
              how: 'time the same distance again, the pack equally full',
              runs: needed,
              enough: `${needed} attempts in all tell the mean from the wish, two standard errors apart.`,
            },
          }),
        ]
      : []),
  ];
}

/** Runs that a wish still asks for; they wait while something is over or the drive is not whole. */
function runsToDrive({ document, runs, revisionId }: BuildOnRecord, checks: readonly Check[]): Bare[] {
  const ready = !checks.some(
    ({ id, state }) => state === 'over' || (id === 'drive.speed' && state === 'unknown'),
  );
  const own = runs.filter((run) => run.revisionId === revisionId);
  return owedRuns(document, own).map(({ kind, why }) => {
    const minutes = kind === 'endurance' ? (document.brief.runTimeMinutes ?? 0) : 0;
    return step({
      id: `owed:${kind}`,
      kind: 'measure',
      segment: 'field',
      title: `Drive the ${RUN_KIND_NAMES[kind].toLowerCase()} that is owed`,
      why: [`Nothing measured answers ${why} in this revision.`],
      cost: { benchMinutes: Math.max(MINUTES.run, minutes) + MINUTES.around },
      relief: (own.length === 0 ? RELIEF.first : RELIEF.owed) * (ready ? 1 : NOT_READY),
      trial: {
        run: kind,
        how:
          kind === 'endurance'
            ? 'drive a whole pack and note when it is empty and how hot things got'
            : 'three attempts, the pack equally full',
        runs: kind === 'endurance' ? 1 : 3,
        enough: kind === 'endurance' ? 'One pack.' : 'Three show a spread.',
      },
    });
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
        segment: whereFilledIn(missing, own),
        title: `Fill in ${missing}`,
        why: [
          `${own.length === 1 ? 'One check waits' : `${own.length} checks wait`} for it: ${own
            .slice(0, MOST_NAMED)
            .map(({ title }) => inSentence(title))
            .join(', ')}${own.length > MOST_NAMED ? ` and ${own.length - MOST_NAMED} more` : ''}.`,
        ],
        cost: { benchMinutes: MINUTES.fill },
        relief:
          RELIEF.unknown *
          Math.sqrt(own.length) *
          (checks.some(({ state }) => state === 'over') ? AFTER_OVER : 1),
      }),
    );
}

/** Copies in use that a caliper says are spent soon. */
function copiesWorn({ copies, document }: BuildOnRecord, calibration: number): Bare[] {
  return copies
    .filter(({ retiredAt }) => retiredAt === undefined)
    .flatMap((copy) =>
      wearOf(copy.readings ?? [])
        .filter(({ hoursLeft }) => hoursLeft !== undefined && hoursLeft < WORN_SOON_H)
        .map(({ of, words }) =>
          step({
            id: `worn:${copy.id}:${of}`,
            kind: 'print',
            segment: 'print',
            title: `Print another ${inSentence(copy.partName)}`,
            why: [`Its ${of}: ${words}.`],
            cost: timeOf(document, copy.partId, 1, calibration),
            relief: RELIEF.worn,
          }),
        ),
    );
}

function partsToPrint(record: BuildOnRecord, calibration: number): Bare[] {
  const { document } = record;
  const owed = (document.print.printers ?? []).length > 0 ? owedOf(record).filter((one) => one.owed > 0) : [];
  if (owed.length === 0) return [];
  const costs = owed.map(({ part, owed: times }) => timeOf(document, part.id, times, calibration));
  const sum = (key: 'printS' | 'money') => costs.reduce((all, one) => all + (one[key] ?? 0), 0);
  return [
    step({
      id: 'print:owed',
      kind: 'print',
      segment: 'print',
      title: `Print what is owed: ${owed
        .slice(0, MOST_NAMED)
        .map(({ part, owed: times }) => `${times} × ${inSentence(part.name)}`)
        .join(', ')}${owed.length > MOST_NAMED ? ` and ${owed.length - MOST_NAMED} more` : ''}`,
      why: ['A part that breaks should be back on the car while the day is still young.'],
      cost: {
        benchMinutes: MINUTES.plate,
        ...(sum('printS') > 0 ? { printS: sum('printS') } : {}),
        ...(sum('money') > 0 ? { money: sum('money') } : {}),
      },
      relief: RELIEF.queue,
    }),
  ];
}

function timeOf(
  document: BuildOnRecord['document'],
  partId: string | undefined,
  times: number,
  calibration: number,
): NextCost {
  const part = document.parts.items.find(({ id }) => id === partId);
  const found = part && estimateOfPart(document, part, 'final', document.print.printers?.[0], calibration);
  return {
    benchMinutes: MINUTES.plate,
    ...(found?.ok
      ? {
          printS: times * found.value.timeS,
          ...(found.value.cost === undefined ? {} : { money: times * found.value.cost }),
        }
      : {}),
  };
}

/** The fix that is furthest from being believed. */
function fixesToProve({ failures, revisions, runs, revisionId }: BuildOnRecord): Bare[] {
  const young = failures.flatMap((failure) => {
    const held = fixHeld(failure, revisions, runs, failures, revisionId);
    const asked =
      failure.hours === undefined || failure.hours === 0 ? undefined : hoursToBelieve(failure.hours);
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
      title: `Drive ${plain(most.left, 2)} h more on the fixes`,
      why: [
        `${young.length} ${young.length === 1 ? 'fix is' : 'fixes are'} not proven yet: ${young
          .slice(0, MOST_NAMED)
          .map(({ failure }) => inSentence(failure.partName))
          .join(
            ', ',
          )}${young.length > MOST_NAMED ? ` and ${young.length - MOST_NAMED} more` : ''}. ${most.failure.partName}: ${inSentence(lifeWords(most.failure.hours!))}`,
      ],
      cost: { benchMinutes: most.left * 60 },
      relief: RELIEF.young * young.length,
      trial: {
        run: 'terrain',
        how: 'drive it as it is meant to be driven, and say in each run how long',
        enough: lifeWords(most.failure.hours!),
      },
    }),
  ];
}

import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import type { BuildDocument } from '../../car/document/document';
import { measuredOf } from './measured';
import { nominalRun } from './predictRun';
import type { RunRecord, TimedConditions, TimedKind, TimedRun } from '../../car/records/records';
import { covarianceOf } from '../../physics/statistics/covariance';
import { type Factors, type Knob, KNOB_WORDS, scaled } from './knobs';

/** What runs can correct, in the order in which it is kept where two cannot be told apart. */
export const FITTED = ['rolling', 'grip', 'efficiency', 'drag'] as const satisfies readonly Knob[];
export type Fitted = (typeof FITTED)[number];

export interface FittedFigure {
  knob: Fitted;
  /** Of the figure in the build. */
  factor: number;
  /** One standard deviation of the factor. */
  error: number;
}

export interface FittedRun {
  id: string;
  measuredS: number;
  measuredErrorS: number;
  beforeS: number;
  afterS: number;
}

/** A run that would say more, and what it would leave of the error of the figure that is known worst. */
export interface AskedRun {
  words: string;
  knob: Fitted;
  /** One standard deviation of the factor with that run, three attempts of 2 %. */
  error: number;
}

export interface CalibrateResult {
  figures: FittedFigure[];
  /** Pairs that move together, largest first. */
  correlations: { a: Fitted; b: Fitted; correlation: number }[];
  runs: FittedRun[];
  /** Joint deviation from the runs over their errors, root mean square. */
  rmsBefore: number;
  rmsAfter: number;
  notes: string[];
  ask?: AskedRun;
}

/** Without a spread that is smaller than this, so that one lucky run does not decide all; share of its time. */
const LEAST_ERROR = 0.005;
const [STEP, LOWEST, HIGHEST, LARGEST_ERROR, TOGETHER] = [0.02, 0.5, 2, 0.3, 0.95] as const;
const [ITERATIONS, DAMPING] = [8, 0.01];
/** What a run that is asked for is taken to err by: three attempts of 2 %. */
const ASKED_ERROR = 0.02 / Math.sqrt(3);

interface Weighed {
  run: TimedRun;
  measuredS: number;
  errorS: number;
}

/**
 * What measured runs say of rolling resistance, grip, efficiency and drag: bounded least squares of the logarithm of their times,
 * each weighed by its error; figures that the runs do not feel, or that they cannot tell apart, are left as they are.
 *
 * @returns factors on the build's figures between a half and two, errors scaled up where the runs scatter more than they say
 * @see Levenberg 1944, Marquardt 1963; Bates and Watts, Nonlinear Regression Analysis, ch. 2
 */
export function calibrateRuns(runs: readonly RunRecord[]): CalibrateResult {
  const weighed = runs.flatMap((run) => weighedOf(run) ?? []);
  const nothing = (note: string): CalibrateResult => ({
    figures: [],
    correlations: [],
    runs: [],
    rmsBefore: 0,
    rmsAfter: 0,
    notes: [note],
  });
  if (weighed.length < 2)
    return nothing(
      'One timed run says how far off the prediction is, not why: drive at least two that differ, a launch among them.',
    );
  const notes: string[] = [];
  const start = weighed.map(({ run }) => timeWith(run, {})!);
  const rows = new Map(
    FITTED.map((knob) => [knob, weighed.map((one, at) => slope(one.run, knob) * (start[at]! / one.errorS))]),
  );
  const kept = tellable([...FITTED], rows, weighed.length, notes);
  const ask = askedRun(weighed[weighed.length - 1]!.run, kept, rows);
  if (kept.length === 0)
    return {
      ...nothing('These runs tell none of the figures better than they are known.'),
      notes,
      ...(ask ? { ask } : {}),
    };
  const factors = fit(weighed, kept);
  const after = weighed.map(({ run }, at) => timeWith(run, factors) ?? start[at]!);
  const rms = (times: readonly number[]) =>
    Math.sqrt(
      times.reduce(
        (sum, time, at) =>
          sum +
          (Math.log(time / weighed[at]!.measuredS) / (weighed[at]!.errorS / weighed[at]!.measuredS)) ** 2,
        0,
      ) / times.length,
    );
  const freedom = weighed.length - kept.length;
  const scatter = freedom > 0 ? Math.max(1, rms(after) * Math.sqrt(weighed.length / freedom)) : 1;
  const { errors, correlations } = covarianceOf(kept.map((knob) => rows.get(knob)!))!;
  if (scatter > 1.5)
    notes.push(
      'The runs scatter more than their own errors say, so the errors here are taken that much larger.',
    );
  return {
    figures: kept.map((knob, at) => ({
      knob,
      factor: factors[knob]!,
      error: factors[knob]! * errors[at]! * scatter,
    })),
    correlations: kept
      .flatMap((a, i) =>
        kept.slice(i + 1).map((b, j) => ({ a, b, correlation: correlations[i]![i + 1 + j]! })),
      )
      .sort((a, b) => Math.abs(b.correlation) - Math.abs(a.correlation)),
    runs: weighed.map(({ run, measuredS, errorS }, at) => ({
      id: run.id,
      measuredS,
      measuredErrorS: errorS,
      beforeS: start[at]!,
      afterS: after[at]!,
    })),
    rmsBefore: rms(start),
    rmsAfter: rms(after),
    notes,
    ...(ask ? { ask } : {}),
  };
}

function weighedOf(run: RunRecord): Weighed | undefined {
  if ((run.kind !== 'timedDistance' && run.kind !== 'launch') || run.attempts.length === 0) return undefined;
  const timed = run as TimedRun;
  if (timeWith(timed, {}) === undefined) return undefined;
  const { time, timeErrorS } = measuredOf(timed);
  return { run: timed, measuredS: time.mean, errorS: Math.max(timeErrorS, LEAST_ERROR * time.mean) };
}

const timeWith = (
  { document, kind, conditions }: { document: BuildDocument; kind: TimedKind; conditions: TimedConditions },
  factors: Factors,
): number | undefined => nominalRun(scaled(document, conditions.surfaceId, factors), kind, conditions)?.timeS;

/** Of the logarithm of the time over that of the figure. */
function slope(run: Pick<TimedRun, 'document' | 'kind' | 'conditions'>, knob: Knob): number {
  const [up, down] = [timeWith(run, { [knob]: 1 + STEP }), timeWith(run, { [knob]: 1 - STEP })];
  return up === undefined || down === undefined
    ? 0
    : (Math.log(up) - Math.log(down)) / (Math.log(1 + STEP) - Math.log(1 - STEP));
}

/** Leaves figures out until what is left can be told from these runs. */
function tellable(
  knobs: Fitted[],
  rows: ReadonlyMap<Fitted, readonly number[]>,
  runs: number,
  notes: string[],
): Fitted[] {
  let kept = knobs.filter((knob) => {
    const alone = 1 / Math.hypot(...rows.get(knob)!);
    if (alone <= LARGEST_ERROR) return true;
    notes.push(`These runs hardly feel the ${KNOB_WORDS[knob]}; it stays as it is.`);
    return false;
  });
  while (kept.length > 0) {
    const found = kept.length < runs ? covarianceOf(kept.map((knob) => rows.get(knob)!)) : undefined;
    const worst = found ? found.errors.findIndex((error) => error > LARGEST_ERROR) : kept.length - 1;
    const pair = found
      ? closest(kept, found.correlations, (knob) => Math.hypot(...rows.get(knob)!))
      : undefined;
    if (found && worst < 0 && !pair) return kept;
    const out = pair
      ? pair.out
      : kept[found ? found.errors.indexOf(Math.max(...found.errors)) : kept.length - 1]!;
    notes.push(
      pair
        ? `These runs cannot tell the ${KNOB_WORDS[pair.out]} from the ${KNOB_WORDS[pair.stays]}: only the second is corrected, and stands for both.`
        : `${runs} runs are too few for the ${KNOB_WORDS[out]} as well; it stays as it is.`,
    );
    kept = kept.filter((knob) => knob !== out);
  }
  return kept;
}

/** The two that move together most, the one that the runs feel less to be left out. */
function closest(
  kept: readonly Fitted[],
  correlations: readonly (readonly number[])[],
  felt: (knob: Fitted) => number,
): { stays: Fitted; out: Fitted } | undefined {
  let found: { stays: Fitted; out: Fitted; how: number } | undefined;
  for (let i = 0; i < kept.length; i++)
    for (let j = i + 1; j < kept.length; j++) {
      const how = Math.abs(correlations[i]![j]!);
      if (how > TOGETHER && (!found || how > found.how))
        found =
          felt(kept[i]!) >= felt(kept[j]!)
            ? { stays: kept[i]!, out: kept[j]!, how }
            : { stays: kept[j]!, out: kept[i]!, how };
    }
  return found;
}

/** In logarithms of the factors, so that a half and twice are as far; the residuals are the times over their errors. */
function fit(weighed: readonly Weighed[], kept: readonly Fitted[]): Factors {
  const factorsOf = (logs: ArrayLike<number>): Factors =>
    Object.fromEntries(kept.map((knob, at) => [knob, Math.exp(logs[at]!)]));
  const model = (logs: number[]) => (at: number) => {
    const { run, measuredS, errorS } = weighed[at]!;
    const time = timeWith(run, factorsOf(logs));
    // a car that does not arrive is far off
    return time === undefined ? 100 : Math.log(time / measuredS) / (errorS / measuredS);
  };
  const { parameterValues } = levenbergMarquardt(
    { x: weighed.map((_, at) => at), y: weighed.map(() => 0) },
    model,
    {
      initialValues: kept.map(() => 0),
      minValues: kept.map(() => Math.log(LOWEST)),
      maxValues: kept.map(() => Math.log(HIGHEST)),
      maxIterations: ITERATIONS,
      damping: DAMPING,
      gradientDifference: STEP / 10,
      errorTolerance: 1e-9,
    },
  );
  return factorsOf(parameterValues);
}

/** Runs that could be driven next with the last one's car. */
function candidates({ conditions, document, kind }: TimedRun): {
  words: string;
  run: { document: BuildDocument; kind: TimedKind; conditions: TimedConditions };
}[] {
  const base = { document, kind: kind === 'launch' ? ('timedDistance' as const) : kind, conditions };
  const cells = document.power.battery?.cells;
  return [
    {
      words: 'a launch from rest over 5 m',
      run: { ...base, kind: 'launch', conditions: { ...conditions, distanceM: 5, runUpM: undefined } },
    },
    {
      words: 'a launch from rest over 20 m',
      run: { ...base, kind: 'launch', conditions: { ...conditions, distanceM: 20, runUpM: undefined } },
    },
    {
      words: 'a timed distance after 60 m of run-up',
      run: { ...base, conditions: { ...conditions, distanceM: 20, runUpM: 60 } },
    },
    {
      words: 'the same with 500 g more on the car',
      run: {
        ...base,
        conditions: {
          ...conditions,
          distanceM: 20,
          runUpM: 40,
          extraMassG: (conditions.extraMassG ?? 0) + 500,
        },
      },
    },
    ...(cells
      ? [
          {
            words: 'the same with a nearly empty pack',
            run: {
              ...base,
              conditions: { ...conditions, distanceM: 20, runUpM: 40, packVBefore: 3.6 * cells },
            },
          },
        ]
      : []),
  ];
}

/** The run that would leave the smallest error of the figure that is known worst (one step of an optimal design; Atkinson and Donev, ch. 9). */
function askedRun(
  last: TimedRun,
  kept: readonly Fitted[],
  rows: ReadonlyMap<Fitted, readonly number[]>,
): AskedRun | undefined {
  const wanted = [...kept, ...FITTED.filter((knob) => !kept.includes(knob)).slice(0, 1)];
  // a figure is known to about so much beforehand, which keeps the sum regular
  const prior = wanted.map((_, at) => wanted.map((__, other) => (at === other ? 1 / LARGEST_ERROR : 0)));
  const errorsWith = (extra: readonly number[]) =>
    covarianceOf(
      wanted.map((knob, at) => [
        ...rows.get(knob)!,
        ...prior[at]!,
        ...(extra.length > 0 ? [extra[at]!] : []),
      ]),
    )?.errors;
  const now = errorsWith([]);
  if (!now) return undefined;
  const worst = now.indexOf(Math.max(...now));
  const tried = candidates(last).flatMap(({ words, run }) => {
    const error = errorsWith(wanted.map((knob) => slope(run, knob) / ASKED_ERROR))?.[worst];
    return error === undefined ? [] : [{ words, error }];
  });
  const best = tried.reduce<(typeof tried)[number] | undefined>(
    (a, b) => (!a || b.error < a.error ? b : a),
    undefined,
  );
  return best && best.error < 0.9 * now[worst]! ? { ...best, knob: wanted[worst]! } : undefined;
}

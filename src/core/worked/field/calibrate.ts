import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import type { RunRecord } from '../../car/records/records';
import { covarianceOf } from '../../physics/statistics/covariance';
import { askedRun, type AskedRun, type Drivable, type FittedColumn } from './askedRun';
import { type Evidence, evidenceFrom } from './evidence';
import { type Factors, type Knob, KNOBS, OF_SURFACE, scaled, spreadsOf } from './knobs';
import { attemptSpread, USUAL_BETWEEN_RUNS } from './measured';
import { nominalRun } from './predictRun';

export interface FittedFigure {
  knob: Knob;
  /** Of a surface's own figures. */
  surfaceId?: string;
  /** Of the figure in the build before any calibration. */
  factor: number;
  /** One standard deviation of the factor; before, what was known of it without these runs. */
  error: number;
  beforeError: number;
}

export interface FittedRun {
  id: string;
  measuredS: number;
  /** One standard deviation, with how far days lie apart. */
  measuredErrorS: number;
  beforeS: number;
  afterS: number;
}

export interface CalibrateResult {
  /** Those that the runs tell better than they were known, in the order of the figures. */
  figures: FittedFigure[];
  /** Those that they do not, which stay as they are. */
  untold: FittedFigure[];
  /** Pairs of told figures that move together, largest first, as places in `figures`. */
  correlations: { a: number; b: number; correlation: number }[];
  runs: FittedRun[];
  /** Joint deviation from the runs over their errors, root mean square. */
  rmsBefore: number;
  rmsAfter: number;
  /** How many times the runs scatter as their own errors say, where that is over 1. */
  scatter: number;
  ask?: AskedRun;
}

/** A figure counts as told where the runs leave less than this of its error. */
const TOLD = 0.9;
const LEAST_RUNS = 2;
const [STEP, LOWEST, HIGHEST] = [0.02, 0.5, 2] as const;
const [ITERATIONS, DAMPING] = [8, 0.01];
/** What a run that is asked for is taken to err by: three attempts of 2 %, on a day of its own. */
const ASKED_ERROR = Math.hypot(0.02 / Math.sqrt(3), USUAL_BETWEEN_RUNS);

/**
 * What measured runs, and packs that were driven empty, say of grip and rolling resistance of each surface, drag, efficiency and motor constant, beside what is known of
 * them: the most probable factors for times and priors of normal errors in their logarithms. Each run is seen with the build as
 * it was driven, without what an earlier calibration made of it, so that the same runs say the same again.
 *
 * @returns factors between a half and two; errors are taken larger where the runs scatter more than they say
 * @see Gelman et al., Bayesian Data Analysis, ch. 4 (normal approximation at the mode); Levenberg 1944, Marquardt 1963
 */
export function calibrateRuns(records: readonly RunRecord[]): CalibrateResult {
  const spread = attemptSpread(records);
  const weighed = evidenceFrom(records, spread);
  if (weighed.length < LEAST_RUNS)
    return { figures: [], untold: [], correlations: [], runs: [], rmsBefore: 0, rmsAfter: 0, scatter: 1 };
  const start = weighed.map((run) => run.timeWith({})!);
  const free = figuresOf(weighed).map((figure) => ({
    ...figure,
    slopes: weighed.map((run) => slopeOf(run, figure) / run.error),
  }));
  const logs = mostProbable(weighed, free);
  const after = (kept: (at: number) => boolean) =>
    weighed.map((run, at) => run.timeWith(factorsFor(run, free, logs, kept)) ?? start[at]!);
  const misses = (times: readonly number[]) =>
    times.map((time, at) => Math.log(time / weighed[at]!.measuredS) / weighed[at]!.error);
  const sumOfSquares = (values: readonly number[]) => values.reduce((sum, one) => sum + one ** 2, 0);
  const rms = (times: readonly number[]) => Math.sqrt(sumOfSquares(misses(times)) / weighed.length);
  const fitted = sumOfSquares(misses(after(() => true)));
  const moved = sumOfSquares(free.map(({ prior }, at) => logs[at]! / prior));
  const scatter = Math.max(1, Math.sqrt((fitted + moved) / weighed.length));
  const columns = free.map(({ slopes, ...figure }, at): FittedColumn => ({
    ...figure,
    rows: [
      ...slopes.map((slope) => slope / scatter),
      ...free.map((_, other) => (other === at ? 1 / figure.prior : 0)),
    ],
  }));
  const found = covarianceOf(columns.map(({ rows }) => rows)) ?? { errors: [], correlations: [] };
  const told = (at: number) => found.errors[at]! <= TOLD * free[at]!.prior;
  const places = free.map((_, at) => at);
  const figure = (at: number): FittedFigure => {
    const { knob, surfaceId, prior } = free[at]!;
    const factor = told(at) ? Math.exp(logs[at]!) : 1;
    return {
      knob,
      ...(surfaceId === undefined ? {} : { surfaceId }),
      factor,
      error: factor * (told(at) ? found.errors[at]! : prior),
      beforeError: prior,
    };
  };
  const kept = places.filter(told);
  const afterS = after(told);
  const ask = askedRun(weighed.at(-1)!.timed, columns, ASKED_ERROR, (run, figure) =>
    slopeOf({ ...run, timeWith: (factors) => timeWith(run, factors) }, figure),
  );
  return {
    figures: kept.map(figure),
    untold: places.filter((at) => !told(at)).map(figure),
    correlations: kept
      .flatMap((one, a) =>
        kept
          .slice(a + 1)
          .map((other, b) => ({ a, b: a + 1 + b, correlation: found.correlations[one]![other]! })),
      )
      .sort((a, b) => Math.abs(b.correlation) - Math.abs(a.correlation)),
    runs: weighed.map(({ id, measuredS, error }, at) => ({
      id,
      measuredS,
      measuredErrorS: error * measuredS,
      beforeS: start[at]!,
      afterS: afterS[at]!,
    })),
    rmsBefore: rms(start),
    rmsAfter: rms(afterS),
    scatter,
    ...(ask ? { ask } : {}),
  };
}

type Figure = Pick<FittedColumn, 'knob' | 'surfaceId' | 'prior'>;

/** What is not known exactly of the cars and surfaces of these runs. */
function figuresOf(weighed: readonly Evidence[]): Figure[] {
  const surfaces = [...new Set(weighed.map(({ conditions }) => conditions.surfaceId))];
  const priorOf = (knob: Knob, surfaceId?: string) =>
    Math.max(
      ...weighed
        .filter(({ conditions }) => surfaceId === undefined || conditions.surfaceId === surfaceId)
        .map(({ document, conditions }) => spreadsOf(document, conditions.surfaceId)[knob]),
    );
  return KNOBS.flatMap((knob): Figure[] =>
    OF_SURFACE.has(knob)
      ? surfaces.map((surfaceId) => ({ knob, surfaceId, prior: priorOf(knob, surfaceId) }))
      : [{ knob, prior: priorOf(knob) }],
  ).filter(({ prior }) => prior > 0);
}

type Felt = Pick<Evidence, 'conditions'>;
const isFelt = ({ conditions }: Felt, { surfaceId }: Pick<Figure, 'surfaceId'>) =>
  surfaceId === undefined || surfaceId === conditions.surfaceId;

const factorsFor = (
  run: Felt,
  figures: readonly Figure[],
  logs: ArrayLike<number>,
  kept: (at: number) => boolean = () => true,
): Factors =>
  Object.fromEntries(
    figures.flatMap((figure, at) =>
      kept(at) && isFelt(run, figure) ? [[figure.knob, Math.exp(logs[at]!)]] : [],
    ),
  );

const timeWith = ({ document, kind, conditions }: Drivable, factors: Factors): number | undefined =>
  nominalRun(scaled(document, conditions.surfaceId, factors), kind, conditions)?.timeS;

/** Of the logarithm of the time over that of the figure. */
function slopeOf(
  run: Pick<Evidence, 'conditions' | 'timeWith'>,
  figure: Pick<Figure, 'knob' | 'surfaceId'>,
): number {
  if (!isFelt(run, figure)) return 0;
  const [up, down] = [1 + STEP, 1 - STEP].map((factor) => run.timeWith({ [figure.knob]: factor }));
  return up === undefined || down === undefined
    ? 0
    : (Math.log(up) - Math.log(down)) / (Math.log(1 + STEP) - Math.log(1 - STEP));
}

/** Logarithms of the factors; the residuals are the times over their errors, and the factors over what was known of them. */
function mostProbable(weighed: readonly Evidence[], figures: readonly Figure[]): number[] {
  const model = (logs: number[]) => (at: number) => {
    if (at >= weighed.length) return logs[at - weighed.length]! / figures[at - weighed.length]!.prior;
    const run = weighed[at]!;
    const time = run.timeWith(factorsFor(run, figures, logs));
    // a car that does not arrive is far off
    return time === undefined ? 100 : Math.log(time / run.measuredS) / run.error;
  };
  const places = Array.from({ length: weighed.length + figures.length }, (_, at) => at);
  return levenbergMarquardt({ x: places, y: places.map(() => 0) }, model, {
    initialValues: figures.map(() => 0),
    minValues: figures.map(() => Math.log(LOWEST)),
    maxValues: figures.map(() => Math.log(HIGHEST)),
    maxIterations: ITERATIONS,
    damping: DAMPING,
    gradientDifference: STEP / 10,
    errorTolerance: 1e-9,
  }).parameterValues;
}

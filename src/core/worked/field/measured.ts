import { pooledDeviation, sampleDeviation } from '../../base/numeric/statistics';
import { runsSummary, type RunsSummaryResult } from '../../physics/statistics/runsSummary';
import { isRepeated, type RunRecord, type RunSheet, type TimedConditions } from '../../car/records/records';
import { type RepeatedKind, RUN_KIND_RECORDS } from '../../car/records/runKinds';
import { type LeftOut, mostAlike } from './alike';
import { timingSpeed, type TimingSpeedResult } from '../../physics/timing/timingSpeed';

/** What the attempts of a run showed. */
export interface Measured {
  readonly attempts: readonly TimingSpeedResult[];
  readonly speed: RunsSummaryResult;
  readonly time: RunsSummaryResult;
  /** One standard deviation of the mean: the spread of the attempts, of one alone that of others, or the error of timing where larger. */
  readonly speedErrorMps: number;
  readonly timeErrorS: number;
}

/** Attempts of one run lie so far apart, share of their mean; until runs of two say better. By judgement. */
const USUAL_BETWEEN_ATTEMPTS = 0.02;

/** Standard deviation of attempts over their mean, pooled within the runs. */
export const attemptSpread = (runs: readonly Pick<RunRecord, 'kind' | 'attempts' | 'conditions'>[]): number =>
  pooledDeviation(
    runs
      .filter(isRepeated)
      .filter(({ attempts }) => attempts.length > 1)
      .map((run) => measuredOf(run).time)
      .map(({ n, sd = 0, mean }) => ({ n, sd: sd / mean })),
  ) ?? USUAL_BETWEEN_ATTEMPTS;

/**
 * Mean speed and time over the measured distance, attempt by attempt and together.
 *
 * @param spread of attempts over their mean, for a run that has but one
 */
export function measuredOf(
  run: Pick<RunSheet, 'attempts'> & { conditions: Pick<TimedConditions, 'distanceM' | 'distanceErrorM'> },
  spread = USUAL_BETWEEN_ATTEMPTS,
): Measured {
  const { distanceM, distanceErrorM } = run.conditions;
  const attempts = run.attempts.map(({ id: _, setting: __, ...timing }) =>
    timingSpeed({ distanceM, ...(distanceErrorM === undefined ? {} : { distanceErrorM }), ...timing }),
  );
  const speed = runsSummary({ values: attempts.map(({ speedMps }) => speedMps) });
  const time = runsSummary({ values: attempts.map(({ timeS }) => timeS) });
  const root = Math.sqrt(attempts.length);
  const timing = Math.hypot(...attempts.map(({ errorPct }) => errorPct / 100)) / attempts.length;
  return {
    attempts,
    speed,
    time,
    speedErrorMps: Math.max((speed.sd ?? spread * speed.mean) / root, timing * speed.mean),
    timeErrorS: Math.max((time.sd ?? spread * time.mean) / root, timing * time.mean),
  };
}

/** How far the measurement lies from its prediction, in speed over the distance. */
export interface Gap {
  readonly differenceMps: number;
  readonly differencePct: number;
  /** Difference over the joint standard deviation. */
  readonly sigmas: number;
}

/** None of a series, whose attempts are conditions of their own, nor through gates, where the prediction is the best that could be. */
export function gapOf(run: RunRecord, measured: Measured): Gap | undefined {
  const { prediction } = run;
  if (!prediction || !isRepeated(run) || RUN_KIND_RECORDS[run.kind].weaves) return undefined;
  const differenceMps = measured.speed.mean - prediction.speedMps;
  const joint = Math.hypot(measured.speedErrorMps, prediction.speedErrorMps);
  return {
    differenceMps,
    differencePct: (100 * differenceMps) / prediction.speedMps,
    sigmas: joint === 0 ? 0 : differenceMps / joint,
  };
}

/** Runs of one car on different days lie so far apart, share of a speed; until three of its own say better. By judgement. */
export const USUAL_BETWEEN_RUNS = 0.02;
const ENOUGH_RUNS = 3;

/** A mean over runs that are alike, with one standard deviation. */
export interface MeanOfRuns {
  mean: number;
  error: number;
  runs: number;
  leftOut?: LeftOut;
}

/**
 * Mean of several runs of one kind, as the fastest evidence of what a revision does; undefined where there is none. Only runs that
 * are alike count. Its error holds how far runs lie apart: their own spread from three on, before that the usual one beside that of
 * the attempts.
 */
export function meanOfRuns(
  all: readonly RunRecord[],
  kind: RepeatedKind,
  of: 'speed' | 'time' = 'speed',
): MeanOfRuns | undefined {
  const { runs, leftOut } = mostAlike(all.filter(isRepeated).filter((run) => run.kind === kind));
  if (runs.length === 0) return undefined;
  const spread = attemptSpread(all);
  const own = runs.map((run) => {
    const measured = measuredOf(run, spread);
    return of === 'speed'
      ? { mean: measured.speed.mean, error: measured.speedErrorMps }
      : { mean: measured.time.mean, error: measured.timeErrorS };
  });
  const n = own.length;
  const total = own.reduce((sum, one) => sum + one.mean, 0) / n;
  const within = Math.hypot(...own.map(({ error }) => error)) / n;
  const between =
    (n < ENOUGH_RUNS ? USUAL_BETWEEN_RUNS * total : sampleDeviation(own.map((one) => one.mean))) /
    Math.sqrt(n);
  return {
    mean: total,
    // run means hold the spread of their attempts already
    error: n < ENOUGH_RUNS ? Math.hypot(within, between) : Math.max(within, between),
    runs: n,
    ...(leftOut ? { leftOut } : {}),
  };
}

import { sampleDeviation } from '../../base/numeric/statistics';
import { runsSummary, type RunsSummaryResult } from '../../physics/statistics/runsSummary';
import { isTimed, type RunRecord, type RunSheet, type TimedConditions } from '../../car/records/records';
import { timingSpeed, type TimingSpeedResult } from '../../physics/timing/timingSpeed';

/** What the attempts of a run showed. */
export interface Measured {
  readonly attempts: readonly TimingSpeedResult[];
  readonly speed: RunsSummaryResult;
  readonly time: RunsSummaryResult;
  /** One standard deviation of the mean: the spread of the attempts or, where larger, the error of timing. */
  readonly speedErrorMps: number;
  readonly timeErrorS: number;
}

/** Mean speed and time over the measured distance, attempt by attempt and together. */
export function measuredOf(
  run: Pick<RunSheet, 'attempts'> & { conditions: Pick<TimedConditions, 'distanceM' | 'distanceErrorM'> },
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
    speedErrorMps: Math.max((speed.sd ?? 0) / root, timing * speed.mean),
    timeErrorS: Math.max((time.sd ?? 0) / root, timing * time.mean),
  };
}

/** How far the measurement lies from its prediction, in speed over the distance. */
export interface Gap {
  readonly differenceMps: number;
  readonly differencePct: number;
  /** Difference over the joint standard deviation. */
  readonly sigmas: number;
}

export function gapOf(run: RunRecord, measured: Measured): Gap | undefined {
  const { prediction } = run;
  if (!prediction) return undefined;
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

/**
 * Mean of several runs of one kind, as the fastest evidence of what a revision does; undefined where there is none. Its error
 * holds how far runs lie apart: their own spread from three on, before that the usual one beside that of the attempts.
 */
export function measuredSpeedOf(
  runs: readonly RunRecord[],
  kind: RunRecord['kind'],
): { speedMps: number; errorMps: number; runs: number } | undefined {
  const own = runs
    .filter(isTimed)
    .filter((run) => run.kind === kind)
    .map(measuredOf);
  if (own.length === 0) return undefined;
  const speedMps = own.reduce((sum, { speed }) => sum + speed.mean, 0) / own.length;
  const withinMps = Math.hypot(...own.map(({ speedErrorMps }) => speedErrorMps)) / own.length;
  const betweenMps =
    (own.length < ENOUGH_RUNS
      ? USUAL_BETWEEN_RUNS * speedMps
      : sampleDeviation(own.map(({ speed }) => speed.mean))) / Math.sqrt(own.length);
  return {
    speedMps,
    // run means hold the spread of their attempts already
    errorMps: own.length < ENOUGH_RUNS ? Math.hypot(withinMps, betweenMps) : Math.max(withinMps, betweenMps),
    runs: own.length,
  };
}

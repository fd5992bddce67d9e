import { GRAVITY } from '../../base/constants';
import { refusal } from '../../base/errors';
import { type Finding, finding } from '../../base/finding';
import { measure, type Measure } from '../../base/measure';
import { mean } from '../../base/numeric/statistics';
import type { OperationFinding } from '../../base/operationFinding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.handling.nearLimit': { run: number; lateral: Measure; limit: Measure };
    'note.handling.neutral': Record<never, never>;
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'handling.sameSpeed': { least: Measure; most: Measure };
  }
}

export interface CircleRun {
  /** Of the centre of gravity. */
  radiusM: number;
  lapTimeS: number;
  /** Mean of the front wheels, into the turn positive. */
  steerDeg: number;
  radiusErrorM?: number;
  lapTimeErrorS?: number;
  steerErrorDeg?: number;
}

export interface CircleInput {
  wheelbaseMm: number;
  runs: readonly CircleRun[];
  mu?: number;
  predictedDegPerMps2?: number;
}

export interface CircleResult {
  understeerDegPerMps2: number;
  understeerErrorDegPerMps2: number;
  understeerDegPerGee: number;
  offsetDeg: number;
  offsetErrorDeg: number;
  lateralMps2: number[];
  speedsMps: number[];
  residualsDeg: number[];
  characteristicSpeedMps?: number;
  criticalSpeedMps?: number;
  differenceDegPerMps2?: number;
  agrees?: boolean;
  findings: OperationFinding[];
  notes: Finding[];
}

const [USUAL_RADIUS_ERROR_M, USUAL_LAP_ERROR_S, USUAL_STEER_ERROR_DEG] = [0.05, 0.1, 0.3];
const [LEAST_SPREAD, SHOWN_TIMES, LINEAR_SHARE] = [0.1, 2, 0.6];
const RAD = Math.PI / 180;

/**
 * Understeer from circles driven at several speeds: how much more the wheels are steered than the circle asks for, over the
 * acceleration across.
 *
 * @returns angles of the front wheels in degrees, accelerations in m/s²
 * @throws CalcError at `runs` where all are driven alike
 * @see Gillespie, Fundamentals of Vehicle Dynamics, ch. 6
 */
export function handlingCircle(input: CircleInput): CircleResult {
  const { wheelbaseMm, runs, mu, predictedDegPerMps2 } = input;
  const L = wheelbaseMm / 1000;
  const across = runs.map(({ radiusM, lapTimeS }) => (4 * Math.PI ** 2 * radiusM) / lapTimeS ** 2);
  const [least, most] = [Math.min(...across), Math.max(...across)];
  if (most - least < LEAST_SPREAD * most)
    throw refusal('runs', 'handling.sameSpeed', {
      least: measure(least, 'accelMps2'),
      most: measure(most, 'accelMps2'),
    });
  const more = runs.map(({ radiusM, steerDeg }) => steerDeg * RAD - L / radiusM);
  const [middleA, middleY] = [mean(across), mean(more)];
  const saa = across.reduce((sum, a) => sum + (a - middleA) ** 2, 0);
  const K = across.reduce((sum, a, k) => sum + (a - middleA) * (more[k]! - middleY), 0) / saa;
  const offset = middleY - K * middleA;
  const residuals = more.map((y, k) => y - offset - K * across[k]!);
  const n = runs.length;
  const squares = runs.map((run, k) => squareOf(run, across[k]!, K, L));
  const told = {
    slope: squares.reduce((sum, u2, k) => sum + ((across[k]! - middleA) / saa) ** 2 * u2, 0),
    offset: squares.reduce(
      (sum, u2, k) => sum + (1 / n - (middleA * (across[k]! - middleA)) / saa) ** 2 * u2,
      0,
    ),
  };
  const s2 = n > 2 ? residuals.reduce((sum, rest) => sum + rest ** 2, 0) / (n - 2) : 0;
  const slopeError = Math.sqrt(Math.max(told.slope, s2 / saa));
  const offsetError = Math.sqrt(Math.max(told.offset, s2 * (1 / n + middleA ** 2 / saa)));
  const shown = Math.abs(K) > SHOWN_TIMES * slopeError;
  const difference = predictedDegPerMps2 === undefined ? undefined : K / RAD - predictedDegPerMps2;
  return {
    understeerDegPerMps2: K / RAD,
    understeerErrorDegPerMps2: slopeError / RAD,
    understeerDegPerGee: (K / RAD) * GRAVITY,
    offsetDeg: offset / RAD,
    offsetErrorDeg: offsetError / RAD,
    lateralMps2: across,
    speedsMps: runs.map(({ radiusM, lapTimeS }) => (2 * Math.PI * radiusM) / lapTimeS),
    residualsDeg: residuals.map((rest) => rest / RAD),
    ...(shown ? { [K > 0 ? 'characteristicSpeedMps' : 'criticalSpeedMps']: Math.sqrt(L / Math.abs(K)) } : {}),
    ...(difference === undefined
      ? {}
      : {
          differenceDegPerMps2: difference,
          agrees: Math.abs(difference) <= (SHOWN_TIMES * slopeError) / RAD,
        }),
    findings: across.flatMap((a, k): OperationFinding[] =>
      mu !== undefined && a > LINEAR_SHARE * mu * GRAVITY
        ? [
            {
              severity: 'tight',
              about: `runs.${k}`,
              why: finding('note.handling.nearLimit', {
                run: k + 1,
                lateral: measure(a, 'accelMps2'),
                limit: measure(mu * GRAVITY, 'accelMps2'),
              }),
            },
          ]
        : [],
    ),
    notes: shown ? [] : [finding('note.handling.neutral', {})],
  };
}

/** Square of what a circle's steering beyond its own curve is uncertain by, rad². */
function squareOf(
  {
    radiusM,
    lapTimeS,
    radiusErrorM = USUAL_RADIUS_ERROR_M,
    lapTimeErrorS = USUAL_LAP_ERROR_S,
    steerErrorDeg = USUAL_STEER_ERROR_DEG,
  }: CircleRun,
  a: number,
  K: number,
  L: number,
): number {
  const byRadius = L / radiusM ** 2 - (K * 4 * Math.PI ** 2) / lapTimeS ** 2;
  return (
    (steerErrorDeg * RAD) ** 2 +
    (byRadius * radiusErrorM) ** 2 +
    (((K * 2 * a) / lapTimeS) * lapTimeErrorS) ** 2
  );
}

import { refusal } from '../../base/errors';
import { type Finding, finding } from '../../base/finding';
import { measure, type Measure } from '../../base/measure';
import type { OperationFinding } from '../../base/operationFinding';
import { RAD_PER_S_PER_RPM } from '../../base/constants';
import { inverted, product } from './lineOrCurve';

declare module '../../base/errors' {
  interface RefusalFacts {
    'balanceRun.angles': Record<never, never>;
    'balanceRun.shows': { errorPct: number };
    'balanceRun.together': { other: string };
    'balanceRun.between': { apart: Measure };
  }
}
declare module '../../base/finding' {
  interface FindingFacts {
    'balanceRun.apart': { off: number; allowed: number };
    'balanceRun.worse': Record<never, never>;
    'note.balanceRun.light': Record<never, never>;
  }
}

export interface BalanceRunInput {
  /** Without a weight; any unit. */
  amplitude: number;
  trialMassG: number;
  trialRadiusMm: number;
  correctionRadiusMm?: number;
  runs: { angleDeg: number; amplitude: number }[];
  amplitudeErrorPct?: number;
  /** Of what turns. */
  massG?: number;
  rpm?: number;
  gradeMmps?: number;
  /** Where weights can be put. */
  positionsDeg?: number[];
  amplitudeAfter?: number;
}

export interface BalanceRunResult {
  imbalanceGmm: number;
  heavyAngleDeg: number;
  correctionAngleDeg: number;
  correctionG: number;
  /** Amplitude a g·mm. */
  sensitivity: number;
  consistencyPct: number;
  consistent: boolean;
  errorGmm: number;
  expectedResidualPct: number;
  split?: { angleDeg: number; massG: number }[];
  permissibleGmm?: number;
  gradeBeforeMmps?: number;
  needed?: boolean;
  residualGmm?: number;
  improvement?: number;
  reductionPct?: number;
  gradeAfterMmps?: number;
  meetsGrade?: boolean;
  findings: OperationFinding[];
  notes: Finding[];
}

const [USUAL_ERROR_PCT, CAR_WHEELS_MMPS] = [5, 40];
const [FEWEST_ANGLES, UNKNOWNS, ROUNDS] = [3, 3, 100];
const [SAME_DEG, ENOUGH] = [1e-6, 1e-14];
/** Of the imbalance: a lighter trial weight hardly shows. */
const LIGHT = 0.2;
const DEG = 180 / Math.PI;

type Three = [sensitivity: number, x: number, y: number];

/**
 * Where a wheel is heavy by vibration amplitudes alone: without a weight, and with a trial weight at three places or more.
 *
 * @returns g·mm, angles in the sense in which the places were marked
 * @throws CalcError at `runs` for under three different angles or runs that show nothing, at `massG` or `rpm` for one alone,
 * at `positionsDeg` for places that leave the correction outside
 * @see ISO 21940-11; the four-run method
 */
export function wheelBalanceRun(input: BalanceRunInput): BalanceRunResult {
  const { amplitude, runs, amplitudeErrorPct = USUAL_ERROR_PCT } = input;
  if (new Set(runs.map(({ angleDeg }) => turn(angleDeg).toFixed(6))).size < FEWEST_ANGLES)
    throw refusal('runs', 'balanceRun.angles');
  if (runs.every((run) => Math.abs(run.amplitude - amplitude) <= (amplitudeErrorPct / 100) * amplitude))
    throw refusal('runs', 'balanceRun.shows', { errorPct: amplitudeErrorPct });
  const weights: (readonly [number, number])[] = [
    [0, 0],
    ...runs.map(({ angleDeg }) => [Math.cos(angleDeg / DEG), Math.sin(angleDeg / DEG)] as const),
  ];
  const measured = [amplitude, ...runs.map((run) => run.amplitude)];
  const [H, x, y] = likeliest(weights, measured);
  const unitGmm = input.trialMassG * input.trialRadiusMm;
  const imbalanceGmm = unitGmm * Math.hypot(x, y);
  const heavyAngleDeg = turn(Math.atan2(y, x) * DEG);
  const correctionAngleDeg = turn(heavyAngleDeg + 180);
  const correctionG = imbalanceGmm / (input.correctionRadiusMm ?? input.trialRadiusMm);
  const off = residuals([H, x, y], weights, measured);
  const rms = Math.sqrt(product(measured, measured) / measured.length);
  const consistencyPct = (100 * Math.sqrt(product(off, off) / Math.max(1, measured.length - UNKNOWNS))) / rms;
  const consistent = consistencyPct <= 2 * amplitudeErrorPct;
  const errorGmm = unitGmm * placeError([H, x, y], weights, measured, amplitudeErrorPct / 100);
  const sensitivity = H / unitGmm;
  const after = afterwards(input, sensitivity);
  return {
    imbalanceGmm,
    heavyAngleDeg,
    correctionAngleDeg,
    correctionG,
    sensitivity,
    consistencyPct,
    consistent,
    errorGmm,
    expectedResidualPct: (100 * errorGmm) / imbalanceGmm,
    ...(input.positionsDeg
      ? { split: splitBetween(input.positionsDeg, correctionAngleDeg, correctionG) }
      : {}),
    ...graded(input, imbalanceGmm, after?.residualGmm),
    ...after,
    findings: [
      ...(input.amplitudeAfter !== undefined && input.amplitudeAfter >= amplitude
        ? [{ severity: 'over' as const, about: 'amplitudeAfter', why: finding('balanceRun.worse', {}) }]
        : []),
      ...(consistent
        ? []
        : [
            {
              severity: 'tight' as const,
              about: 'runs',
              why: finding('balanceRun.apart', {
                off: Number(consistencyPct.toPrecision(2)),
                allowed: 2 * amplitudeErrorPct,
              }),
            },
          ]),
    ],
    notes: unitGmm < LIGHT * imbalanceGmm ? [finding('note.balanceRun.light', {})] : [],
  };
}

/** Into [0, 360). */
const turn = (deg: number): number => {
  const turned = ((deg % 360) + 360) % 360;
  return turned >= 360 ? 0 : turned;
};

const residuals = (
  [H, x, y]: Three,
  weights: readonly (readonly [number, number])[],
  measured: readonly number[],
): number[] => weights.map(([ex, ey], k) => measured[k]! - H * Math.hypot(x + ex, y + ey));

/** What an amplitude changes by with the sensitivity and with the place of the imbalance. */
const slopes = ([H, x, y]: Three, weights: readonly (readonly [number, number])[]): Three[] =>
  weights.map(([ex, ey]) => {
    const far = Math.hypot(x + ex, y + ey);
    return far === 0 ? [0, 0, 0] : [far, (H * (x + ex)) / far, (H * (y + ey)) / far];
  });

const squares = (rows: readonly Three[], damping = 0): number[][] =>
  [0, 1, 2].map((i) =>
    [0, 1, 2].map((j) => rows.reduce((sum, row) => sum + row[i]! * row[j]!, 0) * (i === j ? 1 + damping : 1)),
  );

/** Least squares of all amplitudes (Levenberg and Marquardt) from the start that squared amplitudes give, which is linear. */
function likeliest(weights: readonly (readonly [number, number])[], measured: readonly number[]): Three {
  const rows = weights.slice(1).map(([ex, ey]): Three => [1, 2 * ex, 2 * ey]);
  const right = measured.slice(1).map((one) => one ** 2 - measured[0]! ** 2);
  const [p, q1, q2] = inverted(squares(rows)).map((row) =>
    product(
      row,
      [0, 1, 2].map((i) => rows.reduce((sum, one, k) => sum + one[i]! * right[k]!, 0)),
    ),
  ) as Three;
  const scale = Math.max(...measured) ** 2;
  const H2 = p > 1e-6 * scale ? p : scale;
  let best: Three = [Math.sqrt(H2), q1 / H2, q2 / H2];
  let error = sumOf(residuals(best, weights, measured));
  let damping = 1e-3;
  for (let round = 0; round < ROUNDS; round++) {
    const J = slopes(best, weights);
    const off = residuals(best, weights, measured);
    const pull = [0, 1, 2].map((i) => J.reduce((sum, row, k) => sum + row[i]! * off[k]!, 0));
    const step = inverted(squares(J, damping)).map((row) => product(row, pull));
    const next: Three = [best[0] + step[0]!, best[1] + step[1]!, best[2] + step[2]!];
    const nextError = sumOf(residuals(next, weights, measured));
    if (nextError <= error) {
      const small = Math.abs(error - nextError) <= ENOUGH * error && Math.hypot(...step) < 1e-12;
      [best, error, damping] = [next, nextError, damping / 10];
      if (small) break;
    } else damping *= 10;
  }
  return best;
}

const sumOf = (values: readonly number[]) => product(values, values);

/** One standard deviation of the place, in units of the trial: G·Σ·Gᵀ with G = (JᵀJ)⁻¹Jᵀ. */
function placeError(
  fit: Three,
  weights: readonly (readonly [number, number])[],
  measured: readonly number[],
  share: number,
): number {
  const J = slopes(fit, weights);
  const inverse = inverted(squares(J));
  const variance = (i: 1 | 2) =>
    J.reduce((sum, row, k) => sum + (product(inverse[i]!, row) * share * measured[k]!) ** 2, 0);
  return Math.sqrt(variance(1) + variance(2));
}

function graded(
  { massG, rpm, gradeMmps = CAR_WHEELS_MMPS }: BalanceRunInput,
  Gmm: number,
  residualGmm?: number,
) {
  if ((massG === undefined) !== (rpm === undefined))
    throw refusal(massG === undefined ? 'massG' : 'rpm', 'balanceRun.together', {
      other: massG === undefined ? 'rpm' : 'massG',
    });
  if (massG === undefined || rpm === undefined) return {};
  const omega = rpm * RAD_PER_S_PER_RPM;
  const permissibleGmm = (gradeMmps / omega) * massG;
  return {
    permissibleGmm,
    gradeBeforeMmps: (Gmm * omega) / massG,
    needed: Gmm > permissibleGmm,
    ...(residualGmm === undefined
      ? {}
      : { gradeAfterMmps: (residualGmm * omega) / massG, meetsGrade: residualGmm <= permissibleGmm }),
  };
}

function afterwards({ amplitude, amplitudeAfter }: BalanceRunInput, sensitivity: number) {
  if (amplitudeAfter === undefined) return undefined;
  return {
    residualGmm: amplitudeAfter / sensitivity,
    ...(amplitudeAfter === 0 ? {} : { improvement: amplitude / amplitudeAfter }),
    reductionPct: 100 * (1 - amplitudeAfter / amplitude),
  };
}

/** The correction on the two places beside it. */
function splitBetween(positionsDeg: readonly number[], correctionDeg: number, massG: number) {
  const ahead = (from: number, to: number) => turn(to - from);
  const places = positionsDeg.map(turn);
  const on = places.find(
    (place) => Math.min(ahead(place, correctionDeg), ahead(correctionDeg, place)) <= SAME_DEG,
  );
  if (on !== undefined) return [{ angleDeg: on, massG }];
  const before = places.reduce((a, b) => (ahead(b, correctionDeg) < ahead(a, correctionDeg) ? b : a));
  const behind = places.reduce((a, b) => (ahead(correctionDeg, b) < ahead(correctionDeg, a) ? b : a));
  const apart = ahead(before, behind);
  if (apart >= 180 || apart === 0)
    throw refusal('positionsDeg', 'balanceRun.between', { apart: measure(apart || 360, 'angleDeg', 3) });
  const [gamma, beta] = [apart / DEG, ahead(before, correctionDeg) / DEG];
  return [
    { angleDeg: before, massG: (massG * Math.sin(gamma - beta)) / Math.sin(gamma) },
    { angleDeg: behind, massG: (massG * Math.sin(beta)) / Math.sin(gamma) },
  ];
}

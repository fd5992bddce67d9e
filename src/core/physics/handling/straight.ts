import { refusal } from '../../base/errors';
import { studentBelow } from '../../base/numeric/distributions';
import { mean } from '../../base/numeric/statistics';

declare module '../../base/errors' {
  interface RefusalFacts {
    'handling.overTheCritical': Record<never, never>;
  }
}

export const DIRECTIONS = ['out', 'back'] as const;
export type Direction = (typeof DIRECTIONS)[number];
export const SUSPECTS = ['place', 'play', 'trim', 'alignment', 'bent'] as const;
export type Suspect = (typeof SUSPECTS)[number];
export type Side = 'left' | 'right' | 'none shown';

export interface StraightInput {
  wheelbaseMm: number;
  /** Along the line that it was aimed along. */
  distanceM: number;
  /** Left positive, in the car's sense. */
  runs: readonly { driftM: number; direction?: Direction }[];
  readErrorM?: number;
  aimErrorDeg?: number;
  speedMps?: number;
  understeerDegPerMps2?: number;
}

export interface StraightResult {
  biasM: number;
  biasErrorM: number;
  driftPct: number;
  side: Side;
  /** Of slope and wind, where it was driven both ways. */
  siteM?: number;
  siteErrorM?: number;
  siteShown?: boolean;
  curvaturePerM: number;
  /** What the wheels do. */
  equivalentSteerDeg: number;
  steerErrorDeg: number;
  trimDeg: number;
  scatterDeg?: number;
  suspects: Suspect[];
}

const [USUAL_READ_M, USUAL_AIM_DEG] = [0.02, 0.5];
/** Share of a distribution, and the normal one's factor to there. */
const [SURE, NORMAL] = [0.975, 1.959964];
const DEG = 180 / Math.PI;
/** Steering up to which a trim does it, and beyond which something is bent; scatter that is play, degrees. */
const [TRIM_DEG, BENT_DEG, PLAY_DEG] = [0.5, 2, 0.3];

interface Way {
  count: number;
  mean: number;
  /** Of its readings, with two or more. */
  variance?: number;
  /** Of the mean. */
  errorM2: number;
}

/**
 * Whether a car runs straight: its drift over a distance, told from slope and wind where it was driven both ways, and the
 * steering that it stands for.
 *
 * @returns drift in m, angles of the front wheels in degrees
 * @throws CalcError at `understeerDegPerMps2` where a car so loose has no straight to hold at that speed
 */
export function handlingStraight(input: StraightInput): StraightResult {
  const { wheelbaseMm, distanceM, runs, speedMps = 0, understeerDegPerMps2 = 0 } = input;
  // steering for each curvature: L + K·v²
  const turn = wheelbaseMm / 1000 + (understeerDegPerMps2 / DEG) * speedMps ** 2;
  if (turn <= 0) throw refusal('understeerDegPerMps2', 'handling.overTheCritical');
  const ways = new Map(
    DIRECTIONS.flatMap((direction) => {
      const drifts = runs.filter((run) => (run.direction ?? 'out') === direction).map(({ driftM }) => driftM);
      return drifts.length === 0 ? [] : [[direction, wayOf(drifts, input)] as const];
    }),
  );
  const all = [...ways.values()];
  const [out, back] = [ways.get('out'), ways.get('back')];
  const both = out !== undefined && back !== undefined;
  const biasM = both ? (out.mean + back.mean) / 2 : all[0]!.mean;
  const biasErrorM = Math.sqrt(all.reduce((sum, { errorM2 }) => sum + errorM2, 0)) / (both ? 2 : 1);
  const wide = quantileOf(all);
  const shown = (value: number) => Math.abs(value) > wide * biasErrorM;
  const siteM = both ? (out.mean - back.mean) / 2 : undefined;
  const square = distanceM ** 2 + biasM ** 2;
  const curvaturePerM = (2 * biasM) / square;
  const perM = Math.abs((2 * (distanceM ** 2 - biasM ** 2)) / square ** 2) * turn * DEG;
  const equivalentSteerDeg = turn * curvaturePerM * DEG;
  const pooled = pooledOf(all);
  const scatterDeg = pooled === undefined ? undefined : perM * pooled;
  const side: Side = !shown(biasM) ? 'none shown' : biasM > 0 ? 'left' : 'right';
  const siteShown = siteM !== undefined && shown(siteM);
  const steered = Math.abs(equivalentSteerDeg);
  return {
    biasM,
    biasErrorM,
    driftPct: (100 * biasM) / distanceM,
    side,
    ...(siteM === undefined ? {} : { siteM, siteErrorM: biasErrorM, siteShown }),
    curvaturePerM,
    equivalentSteerDeg,
    steerErrorDeg: perM * biasErrorM,
    trimDeg: -equivalentSteerDeg,
    ...(scatterDeg === undefined ? {} : { scatterDeg }),
    suspects: [
      ...(siteShown && Math.abs(siteM!) > Math.abs(biasM) ? (['place'] as const) : []),
      ...(scatterDeg !== undefined && scatterDeg > PLAY_DEG ? (['play'] as const) : []),
      ...(side === 'none shown'
        ? []
        : steered <= TRIM_DEG
          ? (['trim'] as const)
          : steered <= BENT_DEG
            ? (['alignment'] as const)
            : (['bent'] as const)),
    ],
  };
}

function wayOf(
  drifts: readonly number[],
  { distanceM, readErrorM = USUAL_READ_M, aimErrorDeg = USUAL_AIM_DEG }: StraightInput,
): Way {
  const count = drifts.length;
  const middle = mean(drifts);
  if (count === 1)
    return { count, mean: middle, errorM2: (distanceM * (aimErrorDeg / DEG)) ** 2 + readErrorM ** 2 };
  const variance = drifts.reduce((sum, drift) => sum + (drift - middle) ** 2, 0) / (count - 1);
  return { count, mean: middle, variance, errorM2: variance / count + readErrorM ** 2 };
}

/** Student's factor for the degrees of freedom of Welch and Satterthwaite; without any scatter that of the normal. */
function quantileOf(ways: readonly Way[]): number {
  const total = ways.reduce((sum, { errorM2 }) => sum + errorM2, 0);
  const free = ways.reduce(
    (sum, { count, variance = 0 }) => sum + (variance > 0 ? (variance / count) ** 2 / (count - 1) : 0),
    0,
  );
  return free === 0 ? NORMAL : studentBelow(SURE, total ** 2 / free);
}

/** Scatter of the readings about the mean of their direction. */
function pooledOf(ways: readonly Way[]): number | undefined {
  const several = ways.filter(({ variance }) => variance !== undefined);
  if (several.length === 0) return undefined;
  const free = several.reduce((sum, { count }) => sum + count - 1, 0);
  return Math.sqrt(several.reduce((sum, { count, variance }) => sum + (count - 1) * variance!, 0) / free);
}

import { highest } from '../../base/numeric/maximum';
import { normalBetween } from '../../base/numeric/normal';
import { secantRoot } from '../../base/numeric/root';

/** Between what a part held and what broke it, as logarithms; open ends are infinite. */
export interface Bracket {
  low: number;
  high: number;
  /** Copies of which this is known alike. */
  count: number;
}

/** Mean and standard deviation of a logarithm that is normal, and how likely the brackets are with them. */
export interface LogNormal {
  mean: number;
  scatter: number;
  logLikelihood: number;
}

export const SCATTER_BOUNDS = [0.02, 1] as const;
const [LEAST, MOST] = SCATTER_BOUNDS;
/** Mean within so much of the energies' logarithms. */
export const MEAN_WITHIN = 3;
const TINY = 1e-300;
const ROOT_WITHIN = 1e-9;
/** Of a logarithm of an energy or a scatter. */
const TOP_WITHIN = 1e-8;

export const logLikelihood = (brackets: readonly Bracket[], mean: number, scatter: number): number =>
  brackets.reduce(
    (sum, { low, high, count }) =>
      sum + count * Math.log(Math.max(TINY, normalBetween((low - mean) / scatter, (high - mean) / scatter))),
    0,
  );

/** The range in which a mean is looked for. */
export function meanRange(brackets: readonly Bracket[]): [low: number, high: number] {
  const ends = brackets.flatMap(({ low, high }) => [low, high]).filter(Number.isFinite);
  return [Math.min(...ends) - MEAN_WITHIN, Math.max(...ends) + MEAN_WITHIN];
}

/** The likeliest mean with a scatter that is given; of several groups each with its own. */
const overMean = (brackets: readonly Bracket[], scatter: number, range: readonly [number, number]) =>
  highest((mean) => logLikelihood(brackets, mean, scatter), ...range, TOP_WITHIN);

const overScatter = (value: (scatter: number) => number) => {
  const found = highest((log) => value(Math.exp(log)), Math.log(LEAST), Math.log(MOST), TOP_WITHIN);
  return { scatter: Math.exp(found.at), value: found.value };
};

/** The likeliest common scatter of groups that have a mean each. */
export function likeliest(groups: readonly (readonly Bracket[])[]): {
  means: number[];
  scatter: number;
  logLikelihood: number;
} {
  const ranges = groups.map(meanRange);
  const { scatter, value } = overScatter((one) =>
    groups.reduce((sum, group, k) => sum + overMean(group, one, ranges[k]!).value, 0),
  );
  return {
    means: groups.map((group, k) => overMean(group, scatter, ranges[k]!).at),
    scatter,
    logLikelihood: value,
  };
}

export interface ProfileIntervals {
  meanLow?: number;
  meanHigh?: number;
  scatterLow?: number;
  scatterHigh?: number;
}

/**
 * Ends at which twice the fall of the likelihood reaches a limit, the other parameter at its best; ends that are not reached
 * are left out.
 *
 * @see Meeker and Escobar, Statistical Methods for Reliability Data, ch. 8
 */
export function profileIntervals(
  brackets: readonly Bracket[],
  { mean, scatter, logLikelihood: top }: LogNormal,
  limit: number,
): ProfileIntervals {
  const range = meanRange(brackets);
  const fallAtMean = (at: number) =>
    2 * (top - overScatter((one) => logLikelihood(brackets, at, one)).value) - limit;
  const fallAtScatter = (at: number) => 2 * (top - overMean(brackets, at, range).value) - limit;
  const end = (fall: (at: number) => number, best: number, far: number) =>
    fall(far) < 0 ? undefined : secantRoot(fall, Math.min(best, far), Math.max(best, far), ROOT_WITHIN);
  const ends = {
    meanLow: end(fallAtMean, mean, mean - MEAN_WITHIN),
    meanHigh: end(fallAtMean, mean, mean + MEAN_WITHIN),
    scatterLow: end(fallAtScatter, scatter, LEAST),
    scatterHigh: end(fallAtScatter, scatter, MOST),
  };
  return Object.fromEntries(Object.entries(ends).filter(([, value]) => value !== undefined));
}

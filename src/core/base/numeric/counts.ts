import chiSquareQuantile from '@stdlib/stats-base-dists-chisquare-quantile';
import negativeBinomialCdf from '@stdlib/stats-base-dists-negative-binomial-cdf';
import poissonCdf from '@stdlib/stats-base-dists-poisson-cdf';

/** Quantile of chi-square: below it lies the probability. */
export const chiSquareBelow = (probability: number, degreesOfFreedom: number): number =>
  chiSquareQuantile(probability, degreesOfFreedom);

/** Least k at which a rising distribution reaches a probability. */
function leastCount(reaches: (count: number) => boolean): number {
  let [low, high] = [0, 1];
  if (reaches(0)) return 0;
  while (!reaches(high)) [low, high] = [high, 2 * high];
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (reaches(middle)) high = middle;
    else low = middle;
  }
  return high;
}

/** Least k with P(X ≤ k) ≥ probability, X Poisson of a mean. */
export const poissonReaching = (probability: number, mean: number): number =>
  mean === 0 ? 0 : leastCount((count) => poissonCdf(count, mean) >= probability);

/** The same, X negative binomial: failures before `shape` successes of share `success`. */
export const negativeBinomialReaching = (probability: number, shape: number, success: number): number =>
  leastCount((count) => negativeBinomialCdf(count, shape, success) >= probability);

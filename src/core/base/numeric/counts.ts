import { negativeBinomialAtMost, poissonAtMost } from './distributions';

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
  mean === 0 ? 0 : leastCount((count) => poissonAtMost(count, mean) >= probability);

/** The same, X negative binomial: failures before `shape` successes of share `success`. */
export const negativeBinomialReaching = (probability: number, shape: number, success: number): number =>
  leastCount((count) => negativeBinomialAtMost(count, shape, success) >= probability);

import { bisect } from './root';

/** Coefficients of Lanczos' sum for g = 7, good to fifteen digits. */
const LANCZOS: readonly number[] = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
  12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
];
const [MOST_TERMS, TINY, CLOSE] = [10_000, 1e-300, 1e-16];

/**
 * Natural logarithm of the gamma function of a positive number.
 * @see Press et al., Numerical Recipes, 6.1; Lanczos, SIAM J. Numer. Anal. B 1 (1964)
 */
export function logGamma(x: number): number {
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x);
  const shifted = x - 1;
  const base = shifted + 7.5;
  const sum = LANCZOS.reduce((total, coefficient, at) =>
    at === 0 ? coefficient : total + coefficient / (shifted + at),
  );
  return 0.5 * Math.log(2 * Math.PI) + (shifted + 0.5) * Math.log(base) - base + Math.log(sum);
}

/**
 * Regularized incomplete beta function I_x(a, b), for a, b > 0 and x in [0, 1], by its continued fraction.
 * @see Press et al., Numerical Recipes, 6.4
 */
export function betaBelow(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log1p(-x));
  return x < (a + 1) / (a + b + 2)
    ? (front * betaFraction(x, a, b)) / a
    : 1 - (front * betaFraction(1 - x, b, a)) / b;
}

/** Lentz's method, two steps of the fraction at a time. */
function betaFraction(x: number, a: number, b: number): number {
  let c = 1;
  let d = 1 / away(1 - ((a + b) * x) / (a + 1));
  let sum = d;
  for (let m = 1; m < MOST_TERMS; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    d = 1 / away(1 + even * d);
    c = away(1 + even / c);
    sum *= c * d;
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / away(1 + odd * d);
    c = away(1 + odd / c);
    const step = c * d;
    sum *= step;
    if (Math.abs(step - 1) < CLOSE) break;
  }
  return sum;
}

const away = (value: number) => (Math.abs(value) < TINY ? TINY : value);

/**
 * Regularized lower incomplete gamma function P(a, x), for a > 0 and x ≥ 0: its series below a + 1, the continued fraction above.
 * @see Press et al., Numerical Recipes, 6.2
 */
export function gammaBelow(a: number, x: number): number {
  if (x <= 0) return 0;
  const front = Math.exp(a * Math.log(x) - x - logGamma(a));
  if (x < a + 1) {
    let [term, sum] = [1 / a, 1 / a];
    for (let n = 1; n < MOST_TERMS && Math.abs(term) > Math.abs(sum) * CLOSE; n++) {
      term *= x / (a + n);
      sum += term;
    }
    return front * sum;
  }
  let b = x + 1 - a;
  let c = 1 / TINY;
  let d = 1 / b;
  let sum = d;
  for (let n = 1; n < MOST_TERMS; n++) {
    const by = -n * (n - a);
    b += 2;
    d = 1 / away(by * d + b);
    c = away(b + by / c);
    const step = c * d;
    sum *= step;
    if (Math.abs(step - 1) < CLOSE) break;
  }
  return 1 - front * sum;
}

/** Where a rising function of a positive number reaches a value, to the last digit. */
function where(rises: (x: number) => number, value: number): number {
  let high = 1;
  while (rises(high) < value) high *= 2;
  return bisect((x) => rises(x) - value, 0, high);
}

/** Probability that Student's t is further from 0 than |t|. */
export const studentBeyond = (t: number, degreesOfFreedom: number): number =>
  betaBelow(degreesOfFreedom / (degreesOfFreedom + t * t), degreesOfFreedom / 2, 0.5);

/** Value that Student's t stays under with a probability inside (0, 1). */
export function studentBelow(probability: number, degreesOfFreedom: number): number {
  if (probability === 0.5) return 0;
  const tails = 2 * Math.min(probability, 1 - probability);
  const size = where((t) => 1 - studentBeyond(t, degreesOfFreedom), 1 - tails);
  return probability < 0.5 ? -size : size;
}

/** Value that chi-square stays under with a probability inside (0, 1). */
export const chiSquareBelow = (probability: number, degreesOfFreedom: number): number =>
  2 * where((half) => gammaBelow(degreesOfFreedom / 2, half), probability);

/** Probability of at most so many, Poisson of a positive mean. */
export const poissonAtMost = (count: number, mean: number): number => 1 - gammaBelow(count + 1, mean);

/** Probability of at most so many failures before `shape` successes of share `success`. */
export const negativeBinomialAtMost = (count: number, shape: number, success: number): number =>
  betaBelow(success, shape, count + 1);

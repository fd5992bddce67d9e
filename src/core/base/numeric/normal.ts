import { bisect } from './root';

/** Beyond it the tail's continued fraction converges fast; below it the power series does. */
const TAIL_FROM = 3.5;
const TERMS = 60;

/** Density of the standard normal. */
export const normalDensity = (z: number): number => Math.exp(-(z ** 2) / 2) / Math.sqrt(2 * Math.PI);

/**
 * Chance of the standard normal above z; exact to rounding in the far tail too.
 *
 * @see Marsaglia, Evaluating the Normal Distribution (2004); Abramowitz and Stegun 26.2.14 (continued fraction)
 */
export function normalBeyond(z: number): number {
  if (z === Infinity) return 0;
  if (z < 0) return 1 - normalBeyond(-z);
  if (z > TAIL_FROM) {
    let fraction = 0;
    for (let k = TERMS; k >= 1; k--) fraction = k / (z + fraction);
    return normalDensity(z) / (z + fraction);
  }
  let [term, sum] = [z, z];
  for (let k = 3; term > 1e-18 * sum; k += 2) {
    term *= z ** 2 / k;
    sum += term;
  }
  return 0.5 - sum * normalDensity(z);
}

export const normalBelow = (z: number): number => normalBeyond(-z);

/** Chance between two values, without loss of figures where both lie in one tail. */
export const normalBetween = (low: number, high: number): number =>
  low > 0
    ? normalBeyond(low) - normalBeyond(high)
    : high < 0
      ? normalBeyond(-high) - normalBeyond(-low)
      : 1 - normalBeyond(-low) - normalBeyond(high);

/** The value under which a share of the standard normal lies; the share in (0, 1). */
export const normalQuantile = (share: number): number =>
  share > 0.5 ? -normalQuantile(1 - share) : bisect((z) => normalBelow(z) - share, -39, 0);

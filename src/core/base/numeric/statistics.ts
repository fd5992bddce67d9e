import { studentBelow } from './distributions';

/** Arithmetic mean of at least one value. */
export function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

/** Sample standard deviation (n − 1) of at least two values. */
export function sampleDeviation(values: readonly number[]): number {
  const middle = mean(values);
  return Math.sqrt(values.reduce((sum, value) => sum + (value - middle) ** 2, 0) / (values.length - 1));
}

/** Standard deviation within groups of at least two values each, pooled; none where there is no group. Source: pooled variance. */
export function pooledDeviation(
  groups: readonly { readonly n: number; readonly sd: number }[],
): number | undefined {
  const freedom = groups.reduce((sum, { n }) => sum + n - 1, 0);
  return freedom === 0
    ? undefined
    : Math.sqrt(groups.reduce((sum, { n, sd }) => sum + (n - 1) * sd ** 2, 0) / freedom);
}

/** Half width of the two-sided 95 % interval of a mean over its standard error. Source: Student's t. */
export function student95(degreesOfFreedom: number): number {
  return studentBelow(0.975, degreesOfFreedom);
}

/** Middle of at least one value, the mean of the two middle ones of an even number. */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
}

import { median } from '../../base/numeric/statistics';

/** Scales the median of the deviations to a standard deviation of normal errors. */
const TO_SIGMA = 0.6745;
const MOST = 3.5;
/** Fewer values say nothing of one that stands out. */
const FEWEST = 4;

/**
 * Places of the values that stand out from the others: modified z-score over 3.5.
 *
 * @see Iglewicz and Hoaglin, How to Detect and Handle Outliers, ASQC 1993
 */
export function outliersOf(values: readonly number[]): number[] {
  if (values.length < FEWEST) return [];
  const middle = median(values);
  const spread = median(values.map((value) => Math.abs(value - middle)));
  if (spread === 0) return [];
  return values.flatMap((value, at) => ((TO_SIGMA * Math.abs(value - middle)) / spread > MOST ? [at] : []));
}

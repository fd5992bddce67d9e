import { median } from '../../base/numeric/statistics';

export interface CalibrateInput {
  /** The estimate is the one at a calibration of 1. */
  prints: readonly { estimateS: number; actualS: number }[];
}

export interface CalibrateResult {
  calibration: number;
  spreadPct: number;
}

/**
 * What finished prints say of the estimate: the median of actual over estimated time.
 *
 * @returns the factor, and the median absolute deviation of the ratios over it in per cent
 * @see Huber, Robust Statistics, ch. 1 (median and its absolute deviation)
 */
export function printCalibrate({ prints }: CalibrateInput): CalibrateResult {
  const ratios = prints.map(({ estimateS, actualS }) => actualS / estimateS);
  const calibration = median(ratios);
  return {
    calibration,
    spreadPct: (100 * median(ratios.map((ratio) => Math.abs(ratio - calibration)))) / calibration,
  };
}

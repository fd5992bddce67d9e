import { mean, sampleDeviation, student95 } from '../../base/numeric/statistics';
import { type Finding, finding } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.runs.oneValue': Record<never, never>;
    'note.runs.zeroMean': Record<never, never>;
  }
}

export interface RunsSummaryInput {
  /** Repeated measurements of one quantity, in any one unit. */
  values: readonly number[];
}

/** In the unit of the values; one value leaves out `sd`, `ci95` and `cvPct`. */
export interface RunsSummaryResult {
  /** Number of values. */
  n: number;
  /** In the unit of the values. */
  mean: number;
  /** Sample standard deviation, in the unit of the values. */
  sd?: number;
  /** Student's 95 % interval of the mean. */
  ci95?: [number, number];
  /** In the unit of the values. */
  min: number;
  /** In the unit of the values. */
  max: number;
  /** Left out also where the mean is 0. */
  cvPct?: number;
  notes: Finding[];
}

/**
 * Mean and spread of repeated runs.
 *
 * @see Student, The probable error of a mean, Biometrika 6 (1908)
 */
export function runsSummary({ values }: RunsSummaryInput): RunsSummaryResult {
  const n = values.length;
  const middle = mean(values);
  const base = { n, mean: middle, min: Math.min(...values), max: Math.max(...values) };
  if (n < 2) return { ...base, notes: [finding('note.runs.oneValue', {})] };
  const sd = sampleDeviation(values);
  const half = (student95(n - 1) * sd) / Math.sqrt(n);
  return {
    ...base,
    sd,
    ci95: [middle - half, middle + half],
    ...(middle === 0 ? {} : { cvPct: (100 * sd) / Math.abs(middle) }),
    notes: middle === 0 ? [finding('note.runs.zeroMean', {})] : [],
  };
}

import { mean } from '../../base/numeric/statistics';
import { studentBelow, studentBeyond } from '../../base/numeric/distributions';
import { type RunsCompareResult, runsNeeded } from './runsCompare';

export interface CompareRunsInput {
  /** Means of the runs before the change, and with it, in any one unit. */
  a: readonly number[];
  b: readonly number[];
  better: 'higher' | 'lower';
  /** Means of the runs of every group of the kind, these two among them: what runs alike spread by. */
  groups: readonly (readonly number[])[];
}

const SIGNIFICANCE = 0.05;
/** Degrees of freedom from which a spread between runs is known at all. */
const LEAST_FREEDOM = 2;

/**
 * Two groups of runs compared by their means. Attempts within a run share its air, its pack and its ground, so that the run is
 * the unit; how far runs alike lie apart is pooled over all groups of the kind.
 *
 * @returns as `runs.compare`, for runs
 * @see Box, Hunter and Hunter, Statistics for Experimenters, ch. 3 and 9 (blocks, pooled variance)
 */
export function compareRuns({ a, b, better, groups }: CompareRunsInput): RunsCompareResult {
  const difference = mean(b) - mean(a);
  const df = groups.reduce((sum, { length }) => sum + Math.max(0, length - 1), 0);
  const squares = groups.reduce((sum, values) => {
    const middle = mean(values);
    return sum + values.reduce((own, value) => own + (value - middle) ** 2, 0);
  }, 0);
  const variance = df > 0 ? squares / df : 0;
  const error = Math.sqrt(variance * (1 / a.length + 1 / b.length));
  const needed = runsNeeded(difference, variance);
  const base = { difference, ...(needed === undefined ? {} : { runsNeeded: needed }), notes: [] };
  if (df < LEAST_FREEDOM || error === 0) return { ...base, verdict: 'too few runs' };
  const t = difference / error;
  const p = studentBeyond(t, df);
  const half = studentBelow(1 - SIGNIFICANCE / 2, df) * error;
  return {
    ...base,
    ci95: [difference - half, difference + half],
    t,
    df,
    p,
    verdict:
      p >= SIGNIFICANCE
        ? 'no difference shown'
        : difference > 0 === (better === 'higher')
          ? 'better'
          : 'worse',
  };
}

import { mean, sampleDeviation } from '../../base/numeric/statistics';
import { studentBelow, studentBeyond } from '../../base/numeric/distributions';
import { type Finding, finding } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.runs.flatters': Record<never, never>;
    'note.runs.noSpread': Record<never, never>;
    'note.runs.oneRun': Record<never, never>;
  }
}

export interface RunsCompareInput {
  /** Before the change, in any one unit. */
  a: readonly number[];
  /** With the change. */
  b: readonly number[];
  better: 'higher' | 'lower';
}

export const VERDICTS = ['too few runs', 'better', 'worse', 'no difference shown'] as const;
export type Verdict = (typeof VERDICTS)[number];

export interface RunsCompareResult {
  /** b − a, in the unit of the values. */
  difference: number;
  /** Of the difference. */
  ci95?: [number, number];
  /** Difference over its standard error. */
  t?: number;
  /** Degrees of freedom. */
  df?: number;
  /** Two-sided. */
  p?: number;
  verdict: Verdict;
  /** On each side, to see the difference that was seen with 80 % chance; left out where there is none, or no spread. */
  runsNeeded?: number;
  notes: Finding[];
}

const [LEAST, SIGNIFICANCE, POWER] = [3, 0.05, 0.8];
const MOST_RUNS = 1e7;

/**
 * Two groups of runs compared without assuming that they spread alike.
 *
 * @returns the difference with its 95 % interval and a verdict about b
 * @see Welch, The generalization of Student's problem, Biometrika 34 (1947); Cohen, Statistical Power Analysis, ch. 2
 */
export function runsCompare({ a, b, better }: RunsCompareInput): RunsCompareResult {
  const difference = mean(b) - mean(a);
  const notes: Finding[] = [];
  const few = a.length < LEAST || b.length < LEAST;
  const [sa, sb] = [a, b].map((values) => (values.length < 2 ? 0 : sampleDeviation(values))) as [
    number,
    number,
  ];
  const [va, vb] = [sa ** 2 / a.length, sb ** 2 / b.length];
  const spread = a.length > 1 && b.length > 1 && va + vb > 0;
  const needed = a.length > 1 && b.length > 1 ? runsNeeded(difference, (sa ** 2 + sb ** 2) / 2) : undefined;
  if (needed !== undefined) notes.push(finding('note.runs.flatters', {}));
  const base = { difference, ...(needed === undefined ? {} : { runsNeeded: needed }), notes };
  if (!spread) {
    notes.push(
      a.length > 1 && b.length > 1 ? finding('note.runs.noSpread', {}) : finding('note.runs.oneRun', {}),
    );
    return { ...base, verdict: few ? 'too few runs' : 'no difference shown' };
  }
  const error = Math.sqrt(va + vb);
  const t = difference / error;
  const df = (va + vb) ** 2 / (va ** 2 / (a.length - 1) + vb ** 2 / (b.length - 1));
  const p = studentBeyond(t, df);
  const half = studentBelow(1 - SIGNIFICANCE / 2, df) * error;
  const verdict = few
    ? 'too few runs'
    : p >= SIGNIFICANCE
      ? 'no difference shown'
      : difference > 0 === (better === 'higher')
        ? 'better'
        : 'worse';
  return { ...base, ci95: [difference - half, difference + half], t, df, p, verdict };
}

/** Least number on each side that shows a difference at 5 % with 80 % chance; none where there is no difference or no spread. */
export function runsNeeded(difference: number, variance: number): number | undefined {
  if (difference === 0 || variance === 0) return undefined;
  const asked = (n: number) => (2 * quantilesOf(n) ** 2 * variance) / difference ** 2;
  let [low, high] = [1, 2];
  while (high < asked(high) && high < MOST_RUNS) [low, high] = [high, 2 * high];
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (middle >= asked(middle)) high = middle;
    else low = middle;
  }
  return high;
}

const known = new Map<number, number>();

/** Quantiles of t for the significance and the power together, of two groups of n. */
function quantilesOf(n: number): number {
  const found = known.get(n);
  if (found !== undefined) return found;
  const both = studentBelow(1 - SIGNIFICANCE / 2, 2 * n - 2) + studentBelow(POWER, 2 * n - 2);
  known.set(n, both);
  return both;
}

import { betaBelow } from '../../base/numeric/distributions';

/** A test of a ratio of two mean squares. */
export interface FTest {
  /** Left out where the second has no spread. */
  f?: number;
  df1: number;
  df2: number;
  p: number;
}

/** Chance of a ratio of mean squares at least so large. */
export const fBeyond = (f: number, df1: number, df2: number): number =>
  betaBelow(df2 / (df2 + df1 * f), df2 / 2, df1 / 2);

/** Least squares of one variable, scaled so that the values lie about ±1; nothing of it depends on that. */
export interface Fitted {
  /** Of 1, u, u². */
  coefficients: number[];
  /** (XᵀX)⁻¹. */
  inverse: number[][];
  sse: number;
  df: number;
}

export const termsOf = (u: number, terms: number): number[] =>
  Array.from({ length: terms }, (_, k) => u ** k);

/**
 * Ordinary least squares of a line (two terms) or a parabola (three) through all results.
 *
 * @see Draper and Smith, Applied Regression Analysis, ch. 5
 */
export function fittedTo(results: readonly (readonly [u: number, y: number])[], terms: number): Fitted {
  const normal = Array.from({ length: terms }, (_, i) =>
    Array.from({ length: terms }, (_, j) => results.reduce((sum, [u]) => sum + u ** (i + j), 0)),
  );
  const inverse = inverted(normal);
  const right = Array.from({ length: terms }, (_, i) => results.reduce((sum, [u, y]) => sum + u ** i * y, 0));
  const coefficients = inverse.map((row) => product(row, right));
  return {
    coefficients,
    inverse,
    sse: results.reduce((sum, [u, y]) => sum + (y - product(coefficients, termsOf(u, terms))) ** 2, 0),
    df: results.length - terms,
  };
}

export const product = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, value, k) => sum + value * b[k]!, 0);

/** aᵀ·M·b. */
export const through = (
  a: readonly number[],
  M: readonly (readonly number[])[],
  b: readonly number[],
): number =>
  product(
    a,
    M.map((row) => product(row, b)),
  );

/** Inverse by elimination with pivots. */
export function inverted(matrix: readonly (readonly number[])[]): number[][] {
  const size = matrix.length;
  const rows = matrix.map((row, i) => [...row, ...Array.from({ length: size }, (_, j) => (i === j ? 1 : 0))]);
  for (let column = 0; column < size; column++) {
    let pivot = column;
    for (let row = column + 1; row < size; row++)
      if (Math.abs(rows[row]![column]!) > Math.abs(rows[pivot]![column]!)) pivot = row;
    [rows[column], rows[pivot]] = [rows[pivot]!, rows[column]!];
    const lead = rows[column]![column]!;
    rows[column] = rows[column]!.map((value) => value / lead);
    for (let row = 0; row < size; row++) {
      if (row === column) continue;
      const share = rows[row]![column]!;
      rows[row] = rows[row]!.map((value, k) => value - share * rows[column]![k]!);
    }
  }
  return rows.map((row) => row.slice(size));
}

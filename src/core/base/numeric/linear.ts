/** Under this share of the largest figure a pivot is nothing. */
const NOTHING = 1e-13;

/** Brings a square matrix to its upper triangle, with the largest pivot of each column; what stands behind it is taken along. */
function eliminate(rows: Float64Array[]): 1 | -1 | undefined {
  const n = rows.length;
  const largest = rows.reduce(
    (most, row) => row.subarray(0, n).reduce((a, b) => Math.max(a, Math.abs(b)), most),
    0,
  );
  let sign: 1 | -1 = 1;
  for (let k = 0; k < n; k++) {
    let pivot = k;
    for (let i = k + 1; i < n; i++) if (Math.abs(rows[i]![k]!) > Math.abs(rows[pivot]![k]!)) pivot = i;
    if (Math.abs(rows[pivot]![k]!) <= NOTHING * largest) return undefined;
    if (pivot !== k) sign = sign === 1 ? -1 : 1;
    [rows[k], rows[pivot]] = [rows[pivot]!, rows[k]!];
    const row = rows[k]!;
    for (let i = k + 1; i < n; i++) {
      const other = rows[i]!;
      const share = other[k]! / row[k]!;
      if (share !== 0) for (let j = k; j < other.length; j++) other[j]! -= share * row[j]!;
    }
  }
  return sign;
}

/** Determinant of a square matrix, whatever stands behind its rows; worked on in place. */
export function determinant(rows: Float64Array[]): number {
  const sign = eliminate(rows);
  return sign === undefined ? 0 : rows.reduce((product, row, k) => product * row[k]!, sign as number);
}

/**
 * Solutions of a square system for several right sides, by Gauss with the largest pivot of each column.
 *
 * @param rows of the matrix, with the right sides behind them; worked on in place
 * @returns for each right side its solution; undefined where the matrix is singular
 */
export function solveLinear(rows: Float64Array[], rights = 1): Float64Array[] | undefined {
  const n = rows.length;
  if (eliminate(rows) === undefined) return undefined;
  return Array.from({ length: rights }, (_, right) => {
    const x = new Float64Array(n);
    for (let i = n - 1; i >= 0; i--) {
      let sum = rows[i]![n + right]!;
      for (let j = i + 1; j < n; j++) sum -= rows[i]![j]! * x[j]!;
      x[i] = sum / rows[i]![i]!;
    }
    return x;
  });
}

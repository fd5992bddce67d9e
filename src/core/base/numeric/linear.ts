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

const MOST_SWEEPS = 60;
const OFF = 1e-26;

/** Singular values of a square matrix given by its columns, the largest first. Source: Golub and Van Loan, one-sided Jacobi. */
export function singularValues(columns: readonly (readonly number[])[]): number[] {
  const v = columns.map((column) => [...column]);
  for (let sweep = 0; sweep < MOST_SWEEPS; sweep++) {
    let turned = false;
    for (let p = 0; p < v.length; p++)
      for (let q = p + 1; q < v.length; q++) turned = turnApart(v[p]!, v[q]!) || turned;
    if (!turned) break;
  }
  return v.map((column) => Math.sqrt(column.reduce((sum, one) => sum + one * one, 0))).sort((a, b) => b - a);
}

/** Turns two columns in their plane until they stand across each other; whether there was anything to turn. */
function turnApart(a: number[], b: number[]): boolean {
  let [aa, bb, ab] = [0, 0, 0];
  for (let k = 0; k < a.length; k++) {
    aa += a[k]! * a[k]!;
    bb += b[k]! * b[k]!;
    ab += a[k]! * b[k]!;
  }
  if (ab * ab <= OFF * aa * bb) return false;
  const zeta = (bb - aa) / (2 * ab);
  const t = (zeta >= 0 ? 1 : -1) / (Math.abs(zeta) + Math.sqrt(1 + zeta * zeta));
  const c = 1 / Math.sqrt(1 + t * t);
  const s = c * t;
  for (let k = 0; k < a.length; k++) {
    const [x, y] = [a[k]!, b[k]!];
    a[k] = c * x - s * y;
    b[k] = s * x + c * y;
  }
  return true;
}

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

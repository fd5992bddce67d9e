/**
 * Errors and correlations of a linear fit whose residuals have unit variance, (JᵀJ)⁻¹, by Cholesky's factors.
 *
 * @param columns one a parameter: its slope in each residual
 * @returns nothing where the columns do not stand on their own
 */
export function covarianceOf(
  columns: readonly (readonly number[])[],
): { errors: number[]; correlations: number[][] } | undefined {
  const n = columns.length;
  const normal = columns.map((a) =>
    columns.map((b) => a.reduce((sum, value, at) => sum + value * b[at]!, 0)),
  );
  const inverse = inverseOf(normal);
  if (!inverse) return undefined;
  const errors = inverse.map((row, at) => Math.sqrt(row[at]!));
  return {
    errors,
    correlations: Array.from({ length: n }, (_, i) =>
      Array.from({ length: n }, (__, j) => inverse[i]![j]! / (errors[i]! * errors[j]!)),
    ),
  };
}

const SINGULAR = 1e-12;

function inverseOf(matrix: readonly (readonly number[])[]): number[][] | undefined {
  const n = matrix.length;
  const lower = Array.from({ length: n }, () => new Array<number>(n).fill(0));
  for (let i = 0; i < n; i++)
    for (let j = 0; j <= i; j++) {
      const rest =
        matrix[i]![j]! - lower[i]!.slice(0, j).reduce((sum, value, k) => sum + value * lower[j]![k]!, 0);
      if (i !== j) lower[i]![j] = rest / lower[j]![j]!;
      else if (rest <= SINGULAR * matrix[i]![i]! || !(matrix[i]![i]! > 0)) return undefined;
      else lower[i]![i] = Math.sqrt(rest);
    }
  const solve = (right: readonly number[]) => {
    const y = [...right];
    for (let i = 0; i < n; i++)
      y[i] =
        (y[i]! - lower[i]!.slice(0, i).reduce((sum, value, k) => sum + value * y[k]!, 0)) / lower[i]![i]!;
    for (let i = n - 1; i >= 0; i--) {
      let sum = y[i]!;
      for (let k = i + 1; k < n; k++) sum -= lower[k]![i]! * y[k]!;
      y[i] = sum / lower[i]![i]!;
    }
    return y;
  };
  return Array.from({ length: n }, (_, at) =>
    solve(Array.from({ length: n }, (__, other) => (other === at ? 1 : 0))),
  );
}

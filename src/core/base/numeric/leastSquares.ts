import { solveLinear } from './linear';

export interface LeastSquares {
  parameters: number[];
  residuals: number[];
  /** (JᵀJ)⁻¹ at the solution; undefined where the data cannot tell the parameters apart. */
  inverse: number[][] | undefined;
}

const [MOST_ROUNDS, DIFFERENCE, CLOSE, MOST_DAMPING] = [60, 1e-5, 1e-12, 1e12];

/**
 * Unweighted least squares of a smooth model by damped Gauss-Newton steps, derivatives by central differences.
 *
 * @param residualsOf readings less model
 * @param scales of the parameters, for the differences
 * @see Levenberg 1944, Marquardt 1963 (Press et al., Numerical Recipes, 15.5)
 */
export function leastSquares(
  residualsOf: (parameters: readonly number[]) => number[],
  start: readonly number[],
  scales: readonly number[],
): LeastSquares {
  let parameters = [...start];
  let residuals = residualsOf(parameters);
  let rest = squareSum(residuals);
  let damping = 1e-3;
  let { normal, gradient } = normalOf(residualsOf, parameters, residuals, scales);
  for (let round = 0; round < MOST_ROUNDS && damping < MOST_DAMPING; round++) {
    const step = damped(normal, gradient, damping);
    const next = step && parameters.map((value, k) => value + step[k]!);
    const then = next && residualsOf(next);
    const restThen = then ? squareSum(then) : Infinity;
    if (!(restThen <= rest)) {
      damping *= 10;
      continue;
    }
    const done = rest - restThen <= CLOSE * rest;
    [parameters, residuals, rest] = [next!, then!, restThen];
    damping = Math.max(1e-12, damping / 10);
    ({ normal, gradient } = normalOf(residualsOf, parameters, residuals, scales));
    if (done) break;
  }
  return { parameters, residuals, inverse: inverseOf(normal) };
}

const squareSum = (values: readonly number[]) => values.reduce((sum, value) => sum + value * value, 0);

function normalOf(
  residualsOf: (parameters: readonly number[]) => number[],
  parameters: readonly number[],
  residuals: readonly number[],
  scales: readonly number[],
): { normal: number[][]; gradient: number[] } {
  const columns = parameters.map((value, k) => {
    const h = DIFFERENCE * scales[k]!;
    const [up, down] = [h, -h].map((by) =>
      residualsOf(parameters.map((other, j) => (j === k ? value + by : other))),
    ) as [number[], number[]];
    return up.map((one, row) => (down[row]! - one) / (2 * h));
  });
  const dot = (a: readonly number[], b: readonly number[]) =>
    a.reduce((sum, value, row) => sum + value * b[row]!, 0);
  return {
    normal: columns.map((a) => columns.map((b) => dot(a, b))),
    gradient: columns.map((a) => dot(a, residuals)),
  };
}

function damped(normal: readonly number[][], gradient: readonly number[], damping: number) {
  return solveLinear(
    normal.map((row, k) =>
      Float64Array.from([...row.map((value, j) => (j === k ? value * (1 + damping) : value)), gradient[k]!]),
    ),
  )?.[0];
}

/** Inverted with its diagonal brought to one, so that parameters of unlike size do not look alike. */
function inverseOf(normal: readonly number[][]): number[][] | undefined {
  const size = normal.map((row, k) => Math.sqrt(row[k]!));
  if (!size.every((one) => one > 0)) return undefined;
  const rows = normal.map((row, i) =>
    Float64Array.from([
      ...row.map((value, j) => value / (size[i]! * size[j]!)),
      ...normal.map((_, j) => (i === j ? 1 : 0)),
    ]),
  );
  const columns = solveLinear(rows, normal.length);
  return columns?.map((column, j) => [...column].map((value, i) => value / (size[i]! * size[j]!)));
}

import type { Preconditioner } from './multigrid';
import type { Product } from './product';

/** Where the solution stands. */
export interface Progress {
  /** Steps of the solver. */
  iterations: number;
  /** ‖r‖ over ‖f‖. */
  residual: number;
}

const dot = (a: Float64Array, b: Float64Array): number => {
  let sum = 0;
  for (let at = 0; at < a.length; at++) sum += a[at]! * b[at]!;
  return sum;
};

/** x += s y. */
function step(x: Float64Array, s: number, y: Float64Array): void {
  for (let at = 0; at < x.length; at++) x[at]! += s * y[at]!;
}

/** p = s p + z. */
function follow(p: Float64Array, s: number, z: Float64Array): void {
  for (let at = 0; at < p.length; at++) p[at] = s * p[at]! + z[at]!;
}

/**
 * Preconditioned conjugate gradients on K u = f, u from nothing, yielding after each iteration; `r` comes as f and is used up.
 *
 * @param free sets what held nodes would carry to nothing
 * @param enough says from the residual whether to stop
 */
export function* conjugate(
  product: Product,
  precondition: Preconditioner,
  free: (x: Float64Array) => void,
  r: Float64Array,
  u: Float64Array,
  enough: (relative: number, r: Float64Array) => boolean,
  most: number,
): Generator<Progress, Progress> {
  const size = Math.sqrt(dot(r, r));
  const [z, p, q] = [new Float64Array(r.length), new Float64Array(r.length), new Float64Array(r.length)];
  let rz = 0;
  for (let iterations = 0; ; iterations++) {
    const residual = size === 0 ? 0 : Math.sqrt(dot(r, r)) / size;
    if (enough(residual, r) || iterations === most) return { iterations, residual };
    yield { iterations, residual };
    precondition(r, z);
    const next = dot(r, z);
    const beta = iterations === 0 ? 0 : next / rz;
    rz = next;
    follow(p, beta, z);
    product.apply(p, q);
    free(q);
    const alpha = rz / dot(p, q);
    step(u, alpha, p);
    step(r, -alpha, q);
  }
}

import type { Preconditioner } from './multigrid';
import type { Product } from './product';

/** Where the solution stands. */
export interface Progress {
  /** Steps of the solver. */
  iterations: number;
  /** ‖r‖ over ‖f‖. */
  residual: number;
}

/**
 * Preconditioned conjugate gradients on K u = f, u from nothing, yielding after each iteration.
 *
 * @param free sets what held nodes would carry to nothing
 * @param force f, nothing at held nodes
 * @param enough says from the residual whether to stop
 * @returns u beside where the solution stands
 */
export function* conjugate(
  product: Product,
  precondition: Preconditioner,
  free: (x: Float64Array) => void,
  force: Float64Array,
  enough: (relative: number, r: Float64Array) => boolean,
  most: number,
): Generator<Progress, Progress & { u: Float64Array }> {
  const { kernel, work } = product;
  const { r, u, p, q, z } = work;
  const { code } = kernel;
  const count = force.length;
  kernel.doubles(r, count).set(force);
  for (const at of [u, p]) kernel.doubles(at, count).fill(0);
  const size = Math.sqrt(code.dot(r, r, count));
  let rz = 0;
  for (let iterations = 0; ; iterations++) {
    const residual = size === 0 ? 0 : Math.sqrt(code.dot(r, r, count)) / size;
    if (enough(residual, kernel.doubles(r, count)) || iterations === most)
      return { iterations, residual, u: kernel.doubles(u, count).slice() };
    yield { iterations, residual };
    precondition(r, z);
    const next = code.dot(r, z, count);
    const beta = iterations === 0 ? 0 : next / rz;
    rz = next;
    code.follow(p, beta, z, count);
    product.apply(p, q);
    free(kernel.doubles(q, count));
    const alpha = rz / code.dot(p, q, count);
    code.step(u, alpha, p, count);
    code.step(r, -alpha, q, count);
  }
}

import { randomFrom } from '../../base/numeric/random';
import { bandedFactor, bandedSolve } from './banded';
import type { Level } from './cells';
import type { Product } from './product';

/** z = M⁻¹ r, symmetric, all over the fine grid. */
export type Preconditioner = (r: Float64Array, z: Float64Array) => void;

/** How far a sweep of the fine grid goes, over the largest of D⁻¹K; under 2 by enough that a guess of it may be a quarter too small. */
const SWEEP = 1 / 0.65;
/** Coarser corrections of the first coarse level, and of those under it. */
const [FIRST_CYCLES, CYCLES] = [1, 2];
/** Share of the largest under which a diagonal counts as no stiffness. */
const NONE = 1e-7;
const POWER_TURNS = 9;

/**
 * One multigrid cycle: a damped Jacobi sweep on the bricks before and after, Gauss-Seidel on the coarser levels, which are
 * visited twice from the second on, the coarsest solved whole.
 *
 * @param product the fine grid's stiffness
 * @param diagonal its diagonal, 0 where a node is held
 * @param largest of D⁻¹K, about
 * @see Briggs, Henson, McCormick, A Multigrid Tutorial; Trottenberg et al., Multigrid, ch. 2
 */
export function multigrid(
  product: Product,
  diagonal: Float64Array,
  largest: number,
  levels: readonly Level[],
): Preconditioner {
  const weight = inverted(diagonal);
  for (let at = 0; at < weight.length; at++) weight[at]! *= SWEEP / largest;
  const work = levels.map(({ nodes, diagonal: own }) => ({
    x: new Float64Array(3 * nodes),
    r: new Float64Array(3 * nodes),
    rest: new Float64Array(3 * nodes),
    inverse: inverted(own),
  }));
  const last = levels.at(-1);
  const factor = last ? bandedFactor(last) : undefined;
  const rest = new Float64Array(diagonal.length);

  const cycle = (at: number): void => {
    const level = levels[at]!;
    const { x, r, rest: left, inverse } = work[at]!;
    if (at === levels.length - 1) {
      bandedSolve(factor!, r, x);
      return;
    }
    const below = levels[at + 1]!;
    for (let turn = 0; turn < (at === 0 ? FIRST_CYCLES : CYCLES); turn++) {
      if (turn === 0) {
        firstSweep(level, inverse, r, x);
        restAfterFirst(level, x, left);
      } else {
        sweep(level, inverse, r, x, false);
        residual(level, r, x, left);
      }
      restrict(below, left, work[at + 1]!.r);
      cycle(at + 1);
      prolong(below, work[at + 1]!.x, x);
      sweep(level, inverse, r, x, true);
    }
  };

  return (r, z) => {
    scaled(z, weight, r);
    product.apply(z, rest);
    leftOf(rest, r);
    if (last) {
      restrict(levels[0]!, rest, work[0]!.r);
      cycle(0);
      prolong(levels[0]!, work[0]!.x, z);
      product.apply(z, rest);
      leftOf(rest, r);
    }
    addScaled(z, weight, rest);
  };
}

function scaled(z: Float64Array, weight: Float64Array, r: Float64Array): void {
  for (let at = 0; at < z.length; at++) z[at] = weight[at]! * r[at]!;
}

function addScaled(z: Float64Array, weight: Float64Array, r: Float64Array): void {
  for (let at = 0; at < z.length; at++) z[at]! += weight[at]! * r[at]!;
}

/** What of r is not done yet. */
function leftOf(done: Float64Array, r: Float64Array): void {
  for (let at = 0; at < done.length; at++) done[at] = r[at]! - done[at]!;
}

/** The largest of D⁻¹K by the power method, a little under it; from a start that holds all patterns. */
export function largestOf(product: Product, diagonal: Float64Array): number {
  const inverse = inverted(diagonal);
  const random = randomFrom(1);
  const [x, y] = [new Float64Array(diagonal.length), new Float64Array(diagonal.length)];
  for (let at = 0; at < x.length; at++) if (inverse[at]! > 0) x[at] = random() - 0.5;
  let largest = 0;
  for (let turn = 0; turn < POWER_TURNS; turn++) {
    product.apply(x, y);
    const [before, after] = turned(inverse, x, y);
    largest = Math.sqrt(after / before);
    const scale = 1 / Math.sqrt(after);
    for (let at = 0; at < x.length; at++) x[at]! *= scale;
  }
  return largest;
}

/** x becomes D⁻¹y; its squares before and after. */
function turned(inverse: Float64Array, x: Float64Array, y: Float64Array): [number, number] {
  let before = 0;
  let after = 0;
  for (let at = 0; at < x.length; at++) {
    const next = inverse[at]! * y[at]!;
    before += x[at]! * x[at]!;
    after += next * next;
    x[at] = next;
  }
  return [before, after];
}

function inverted(diagonal: Float64Array): Float64Array<ArrayBuffer> {
  let most = 0;
  for (let at = 0; at < diagonal.length; at++) if (diagonal[at]! > most) most = diagonal[at]!;
  const least = NONE * most;
  const found = new Float64Array(diagonal.length);
  for (let at = 0; at < found.length; at++) if (diagonal[at]! > least) found[at] = 1 / diagonal[at]!;
  return found;
}

/** Every coarse node takes the shares of the finer ones. */
function restrict({ parentStart, parent }: Level, fine: Float64Array, coarse: Float64Array): void {
  coarse.fill(0);
  for (let node = 0; node < parentStart.length - 1; node++) {
    const [from, to] = [parentStart[node]!, parentStart[node + 1]!];
    if (from === to) continue;
    const share = 1 / (to - from);
    const x = share * fine[3 * node]!;
    const y = share * fine[3 * node + 1]!;
    const z = share * fine[3 * node + 2]!;
    for (let at = from; at < to; at++) {
      const p = 3 * parent[at]!;
      coarse[p]! += x;
      coarse[p + 1]! += y;
      coarse[p + 2]! += z;
    }
  }
}

/** Every finer node adds the mean of its coarse ones. */
function prolong({ parentStart, parent }: Level, coarse: Float64Array, fine: Float64Array): void {
  for (let node = 0; node < parentStart.length - 1; node++) {
    const [from, to] = [parentStart[node]!, parentStart[node + 1]!];
    if (from === to) continue;
    const share = 1 / (to - from);
    let x = 0;
    let y = 0;
    let z = 0;
    for (let at = from; at < to; at++) {
      const p = 3 * parent[at]!;
      x += coarse[p]!;
      y += coarse[p + 1]!;
      z += coarse[p + 2]!;
    }
    fine[3 * node]! += share * x;
    fine[3 * node + 1]! += share * y;
    fine[3 * node + 2]! += share * z;
  }
}

function residual(
  { nodes, rowStart, column, block }: Level,
  b: Float64Array,
  x: Float64Array,
  r: Float64Array,
): void {
  for (let node = 0; node < nodes; node++) {
    let s0 = b[3 * node]!;
    let s1 = b[3 * node + 1]!;
    let s2 = b[3 * node + 2]!;
    for (let at = rowStart[node]!, to = rowStart[node + 1]!; at < to; at++) {
      const c = 3 * column[at]!;
      const k = 9 * at;
      const x0 = x[c]!;
      const x1 = x[c + 1]!;
      const x2 = x[c + 2]!;
      s0 -= block[k]! * x0 + block[k + 1]! * x1 + block[k + 2]! * x2;
      s1 -= block[k + 3]! * x0 + block[k + 4]! * x1 + block[k + 5]! * x2;
      s2 -= block[k + 6]! * x0 + block[k + 7]! * x1 + block[k + 8]! * x2;
    }
    r[3 * node] = s0;
    r[3 * node + 1] = s1;
    r[3 * node + 2] = s2;
  }
}

/** Gauss-Seidel from nothing: only what was set before counts. */
function firstSweep(
  { nodes, rowStart, column, block, own }: Level,
  inverse: Float64Array,
  b: Float64Array,
  x: Float64Array,
): void {
  for (let node = 0; node < nodes; node++) {
    let s0 = b[3 * node]!;
    let s1 = b[3 * node + 1]!;
    let s2 = b[3 * node + 2]!;
    const to = own[node]!;
    for (let at = rowStart[node]!; at < to; at++) {
      const c = 3 * column[at]!;
      const k = 9 * at;
      const x0 = x[c]!;
      const x1 = x[c + 1]!;
      const x2 = x[c + 2]!;
      s0 -= block[k]! * x0 + block[k + 1]! * x1 + block[k + 2]! * x2;
      s1 -= block[k + 3]! * x0 + block[k + 4]! * x1 + block[k + 5]! * x2;
      s2 -= block[k + 6]! * x0 + block[k + 7]! * x1 + block[k + 8]! * x2;
    }
    const d0 = inverse[3 * node]! * s0;
    const d1 = inverse[3 * node + 1]! * (s1 - block[9 * to + 3]! * d0);
    x[3 * node] = d0;
    x[3 * node + 1] = d1;
    x[3 * node + 2] = inverse[3 * node + 2]! * (s2 - block[9 * to + 6]! * d0 - block[9 * to + 7]! * d1);
  }
}

/** What is left after the first sweep: only what was set afterwards counts. */
function restAfterFirst(
  { nodes, rowStart, column, block, own }: Level,
  x: Float64Array,
  r: Float64Array,
): void {
  for (let node = 0; node < nodes; node++) {
    const from = own[node]!;
    const x1 = x[3 * node + 1]!;
    const x2 = x[3 * node + 2]!;
    let s0 = -(block[9 * from + 1]! * x1 + block[9 * from + 2]! * x2);
    let s1 = -(block[9 * from + 5]! * x2);
    let s2 = 0;
    for (let at = from + 1, to = rowStart[node + 1]!; at < to; at++) {
      const c = 3 * column[at]!;
      const k = 9 * at;
      const p = x[c]!;
      const q = x[c + 1]!;
      const t = x[c + 2]!;
      s0 -= block[k]! * p + block[k + 1]! * q + block[k + 2]! * t;
      s1 -= block[k + 3]! * p + block[k + 4]! * q + block[k + 5]! * t;
      s2 -= block[k + 6]! * p + block[k + 7]! * q + block[k + 8]! * t;
    }
    r[3 * node] = s0;
    r[3 * node + 1] = s1;
    r[3 * node + 2] = s2;
  }
}

/** Gauss-Seidel onwards, or back. */
function sweep(
  { nodes, rowStart, column, block, own }: Level,
  inverse: Float64Array,
  b: Float64Array,
  x: Float64Array,
  back: boolean,
): void {
  for (let turn = 0; turn < nodes; turn++) {
    const node = back ? nodes - 1 - turn : turn;
    let s0 = b[3 * node]!;
    let s1 = b[3 * node + 1]!;
    let s2 = b[3 * node + 2]!;
    for (let at = rowStart[node]!, to = rowStart[node + 1]!; at < to; at++) {
      const c = 3 * column[at]!;
      const k = 9 * at;
      const x0 = x[c]!;
      const x1 = x[c + 1]!;
      const x2 = x[c + 2]!;
      s0 -= block[k]! * x0 + block[k + 1]! * x1 + block[k + 2]! * x2;
      s1 -= block[k + 3]! * x0 + block[k + 4]! * x1 + block[k + 5]! * x2;
      s2 -= block[k + 6]! * x0 + block[k + 7]! * x1 + block[k + 8]! * x2;
    }
    const k = 9 * own[node]!;
    let d0: number;
    let d1: number;
    let d2: number;
    if (back) {
      d2 = inverse[3 * node + 2]! * s2;
      d1 = inverse[3 * node + 1]! * (s1 - block[k + 5]! * d2);
      d0 = inverse[3 * node]! * (s0 - block[k + 1]! * d1 - block[k + 2]! * d2);
    } else {
      d0 = inverse[3 * node]! * s0;
      d1 = inverse[3 * node + 1]! * (s1 - block[k + 3]! * d0);
      d2 = inverse[3 * node + 2]! * (s2 - block[k + 6]! * d0 - block[k + 7]! * d1);
    }
    x[3 * node]! += d0;
    x[3 * node + 1]! += d1;
    x[3 * node + 2]! += d2;
  }
}

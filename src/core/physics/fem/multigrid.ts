import { type BandedFactor, bandedFactor, bandedSolve } from './banded';
import { BLOCK, type Level } from './cells';
import type { Kernel, Place } from './kernel/kernel';
import type { Product } from './product';

/** z = M⁻¹ r, symmetric, all over the fine grid, between places of the kernel's memory. */
export type Preconditioner = (r: Place, z: Place) => void;

/** How far a sweep of the fine grid goes, over the largest of D⁻¹K; under 2 by enough that a guess of it may be a quarter too small. */
const SWEEP = 1 / 0.65;
/** Coarser corrections of the first coarse level, and of those under it. */
const [FIRST_CYCLES, CYCLES] = [1, 2];
/** Share of the largest under which a diagonal counts as no stiffness. */
const NONE = 1e-7;
/** Bytes of a node's four lanes. */
const LANES = 16;

/**
 * One multigrid cycle: a damped Jacobi sweep on the bricks before and after, Gauss-Seidel by nodes on the coarser levels, which
 * are visited twice from the second on, the coarsest solved whole. In single precision: it only steers the search.
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
  const { kernel, nodes } = product;
  const { code } = kernel;
  const weight = kernel.keep(lanesOfNodes(inverted(diagonal).map((one) => (one * SWEEP) / largest)));
  const kept = levels.map((level) => keptLevel(kernel, level));
  const last = levels.at(-1);
  const factor = last ? bandedFactor(kernel, last) : undefined;
  const [r32, z32, rest] = [LANES, LANES, LANES].map((bytes) => kernel.place(bytes * nodes)) as [
    Place,
    Place,
    Place,
  ];

  return (r, z) => {
    code.began(r, weight, r32, z32, nodes);
    product.applySingle(z32, rest);
    code.leftOf(rest, r32, nodes);
    const first = kept[0];
    if (first) {
      code.restrict(first.parentStart, first.parent, rest, nodes, first.r, first.nodes);
      cycle(kernel, kept, factor!, 0);
      code.prolong(first.parentStart, first.parent, first.x, z32, nodes);
      product.applySingle(z32, rest);
      code.leftOf(rest, r32, nodes);
    }
    code.ended(z32, weight, rest, z, nodes);
  };
}

/** A level in the kernel's memory, with what its sweeps work on. */
interface KeptLevel {
  readonly nodes: number;
  readonly rowStart: Place;
  readonly column: Place;
  readonly own: Place;
  readonly block: Place;
  /** Of each node's own block. */
  readonly inverse: Place;
  readonly parentStart: Place;
  readonly parent: Place;
  readonly x: Place;
  readonly r: Place;
  readonly left: Place;
}

function keptLevel(kernel: Kernel, level: Level): KeptLevel {
  const { nodes, rowStart, column, own, block, parentStart, parent } = level;
  return {
    nodes,
    rowStart: kernel.keep(rowStart),
    column: kernel.keep(column),
    own: kernel.keep(own),
    block,
    inverse: kernel.keep(inverseBlocks(kernel, level)),
    parentStart: kernel.keep(parentStart),
    parent: kernel.keep(parent),
    x: kernel.place(LANES * nodes),
    r: kernel.place(LANES * nodes),
    left: kernel.place(LANES * nodes),
  };
}

function cycle(kernel: Kernel, levels: readonly KeptLevel[], factor: BandedFactor, at: number): void {
  const { code } = kernel;
  const { nodes, rowStart, column, own, block, inverse, x, r, left } = levels[at]!;
  if (at === levels.length - 1) {
    bandedSolve(kernel, factor, kernel.singles(r, 4 * nodes), kernel.singles(x, 4 * nodes));
    return;
  }
  const below = levels[at + 1]!;
  for (let turn = 0; turn < (at === 0 ? FIRST_CYCLES : CYCLES); turn++) {
    if (turn === 0) code.firstSweep(nodes, rowStart, column, own, block, inverse, r, x, left);
    else {
      code.sweep(nodes, rowStart, column, block, inverse, r, x, 0);
      code.residual(nodes, rowStart, column, block, r, x, left);
    }
    code.restrict(below.parentStart, below.parent, left, nodes, below.r, below.nodes);
    cycle(kernel, levels, factor, at + 1);
    code.prolong(below.parentStart, below.parent, below.x, x, nodes);
    code.sweep(nodes, rowStart, column, block, inverse, r, x, 1);
  }
}

/** Three figures to a node become four lanes. */
function lanesOfNodes(figures: Float64Array): Float32Array {
  const lanes = new Float32Array((4 * figures.length) / 3);
  for (let at = 0, to = 0; at < figures.length; at += 3, to += 4) {
    lanes[to] = figures[at]!;
    lanes[to + 1] = figures[at + 1]!;
    lanes[to + 2] = figures[at + 2]!;
  }
  return lanes;
}

function leastOf(diagonal: Float64Array): number {
  let most = 0;
  for (let at = 0; at < diagonal.length; at++) if (diagonal[at]! > most) most = diagonal[at]!;
  return NONE * most;
}

function inverted(diagonal: Float64Array): Float64Array<ArrayBuffer> {
  const least = leastOf(diagonal);
  const found = new Float64Array(diagonal.length);
  for (let at = 0; at < found.length; at++) if (diagonal[at]! > least) found[at] = 1 / diagonal[at]!;
  return found;
}

/** The inverse of each node's own block by columns; a direction without stiffness answers with nothing. */
function inverseBlocks(kernel: Kernel, { nodes, own, column, block: at, diagonal }: Level): Float32Array {
  const block = kernel.singles(at, BLOCK * column.length);
  const least = leastOf(diagonal);
  const found = new Float32Array(BLOCK * nodes);
  for (let node = 0; node < nodes; node++) {
    const from = BLOCK * own[node]!;
    const to = BLOCK * node;
    const hasX = diagonal[3 * node]! > least;
    const hasY = diagonal[3 * node + 1]! > least;
    const hasZ = diagonal[3 * node + 2]! > least;
    const a = hasX ? diagonal[3 * node]! : 1;
    const b = hasY ? diagonal[3 * node + 1]! : 1;
    const c = hasZ ? diagonal[3 * node + 2]! : 1;
    const p = hasX && hasY ? block[from + 1]! : 0;
    const q = hasX && hasZ ? block[from + 2]! : 0;
    const s = hasY && hasZ ? block[from + 6]! : 0;
    const whole = a * (b * c - s * s) + p * (q * s - p * c) + q * (p * s - q * b);
    // a block that is all but singular is taken by its diagonal
    const sound = whole > NONE * a * b * c;
    if (hasX) found[to] = sound ? (b * c - s * s) / whole : 1 / a;
    if (hasY) found[to + 5] = sound ? (a * c - q * q) / whole : 1 / b;
    if (hasZ) found[to + 10] = sound ? (a * b - p * p) / whole : 1 / c;
    if (!sound) continue;
    if (hasX && hasY) found[to + 1] = found[to + 4] = (q * s - p * c) / whole;
    if (hasX && hasZ) found[to + 2] = found[to + 8] = (p * s - q * b) / whole;
    if (hasY && hasZ) found[to + 6] = found[to + 9] = (p * q - a * s) / whole;
  }
  return found;
}

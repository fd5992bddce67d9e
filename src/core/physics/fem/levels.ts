import type { Bricks } from '../solid/bricks';
import { CORNERS, DOFS } from './brick';
import { BLOCK, type Cells, type Level } from './cells';
import type { Kernel } from './kernel/kernel';
import { coarser, coarserThanBricks } from './coarser';

/** Work of solving the coarsest level whole, multiplications; walls that are thin, with many nodes to a brick, are worth more. */
const [MOST_WORK, MOST_WORK_THIN] = [6e7, 4e8];
const THIN = 1.2;
const MOST_LEVELS = 12;

/**
 * Grids each half as fine as the one before, their stiffness taken over from it exactly (Galerkin), so that thin walls and
 * holes keep their softness.
 *
 * @param held nodes of the fine grid that cannot move
 */
export function levelsOf(
  kernel: Kernel,
  bricks: Bricks,
  k: Float64Array,
  edgeMm: number,
  held: Uint8Array,
): Level[] {
  const levels: Level[] = [];
  let below: Cells | undefined;
  let [size, corner, nodes]: [Bricks['size'], Int32Array, number] = [
    bricks.size,
    bricks.corner,
    bricks.corner.length,
  ];
  const most = nodes > THIN * bricks.voxel.length ? MOST_WORK_THIN : MOST_WORK;
  while (levels.length < MOST_LEVELS && (levels.length === 0 ? nodes > 1 : workOf(levels.at(-1)!) > most)) {
    const factor = size.map((n) => (n > 1 ? 2 : 1)) as [number, number, number];
    if (factor.every((one) => one === 1)) break;
    const cells: Cells = below ? coarser(below, factor) : coarserThanBricks(bricks, k, edgeMm, held, factor);
    const { start, parent } = parentsOf(corner, size, cells, factor, below ? undefined : held);
    levels.push({
      nodes: cells.nodes,
      ...assembled(kernel, cells),
      ...banded(cells),
      parentStart: start,
      parent,
    });
    [below, size, corner, nodes] = [cells, cells.size, cells.corner, cells.nodes];
  }
  return levels;
}

/** Which coarse corners a finer corner is the mean of, per axis: its own, or two. */
function parentsOf(
  corner: Int32Array,
  [nx, ny]: readonly [number, number, number],
  cells: Cells,
  [fx, fy, fz]: readonly [number, number, number],
  held: Uint8Array | undefined,
): { start: Int32Array; parent: Int32Array } {
  const [cx, cy] = [nx + 1, ny + 1];
  const [px, py] = [cells.size[0] + 1, cells.size[1] + 1];
  const start = new Int32Array(corner.length + 1);
  const parent = new Int32Array(CORNERS * corner.length);
  let known = 0;
  for (let node = 0; node < corner.length; node++) {
    const at = corner[node]!;
    if (held?.[node] !== 1) {
      const row = Math.floor(at / cx);
      const k = Math.floor(row / cy);
      const i = at - cx * row;
      const j = row - cy * k;
      const [ci, cj, ck] = [fx === 2 ? i >> 1 : i, fy === 2 ? j >> 1 : j, fz === 2 ? k >> 1 : k];
      const li = fx === 2 ? ci + (i & 1) : ci;
      const lj = fy === 2 ? cj + (j & 1) : cj;
      const lk = fz === 2 ? ck + (k & 1) : ck;
      for (let c = ck; c <= lk; c++)
        for (let b = cj; b <= lj; b++)
          for (let a = ci; a <= li; a++) parent[known++] = cells.nodeAt[a + px * (b + py * c)]!;
    }
    start[node + 1] = known;
  }
  return { start, parent: parent.slice(0, known) };
}

const workOf = ({ nodes, band }: Level): number => 27 * nodes * band * band;

/** The nodes ordered along the longest axis last. */
function banded({ size, kind, nodeAt, nodes }: Cells): Pick<Level, 'order' | 'band'> {
  const [nx, ny, nz] = size;
  const [cx, cy] = [nx + 1, ny + 1];
  const strides = [1, cx, cx * cy];
  const axes = [0, 1, 2].sort((a, b) => size[a]! - size[b]!);
  const [p, q, r] = axes as [number, number, number];
  const order = new Int32Array(nodes);
  let known = 0;
  for (let c = 0; c <= size[r]!; c++)
    for (let b = 0; b <= size[q]!; b++)
      for (let a = 0; a <= size[p]!; a++) {
        const node = nodeAt[a * strides[p]! + b * strides[q]! + c * strides[r]!]!;
        if (node >= 0) order[node] = known++;
      }
  let band = 0;
  for (let k = 0, cell = 0; k < nz; k++)
    for (let j = 0; j < ny; j++)
      for (let i = 0; i < nx; i++, cell++) {
        if (kind[cell] === 0) continue;
        let [low, high] = [nodes, 0];
        for (let a = 0; a < CORNERS; a++) {
          const at = order[nodeAt[i + (a & 1) + cx * (j + ((a >> 1) & 1) + cy * (k + (a >> 2)))]!]!;
          if (at < low) low = at;
          if (at > high) high = at;
        }
        if (high - low > band) band = high - low;
      }
  return { order, band };
}

/** The cells' stiffnesses added up between nodes. */
function assembled(
  kernel: Kernel,
  { size: [nx, ny, nz], kind, tables, nodeAt, nodes, corner }: Cells,
): Pick<Level, 'rowStart' | 'column' | 'block' | 'own' | 'diagonal'> {
  const [cx, cy] = [nx + 1, ny + 1];
  const rowStart = new Int32Array(nodes + 1);
  const column = new Int32Array(27 * nodes);
  /** Where in its row each of the 27 neighbours stands. */
  const slot = new Int32Array(27 * nodes).fill(-1);
  let known = 0;
  for (let node = 0; node < nodes; node++) {
    const at = corner[node]!;
    const [i, j, k] = [at % cx, Math.floor(at / cx) % cy, Math.floor(at / (cx * cy))];
    for (let c = -1, way = 0; c <= 1; c++)
      for (let b = -1; b <= 1; b++)
        for (let a = -1; a <= 1; a++, way++) {
          if (i + a < 0 || i + a > nx || j + b < 0 || j + b > ny || k + c < 0 || k + c > nz) continue;
          const other = nodeAt[at + a + cx * (b + cy * c)]!;
          if (other < 0) continue;
          slot[27 * node + way] = known;
          column[known++] = other;
        }
    rowStart[node + 1] = known;
  }
  const block = kernel.place(4 * BLOCK * known);
  // what only the sum needs stands behind the blocks, and is written over by what comes after
  const scratch = kernel.mark();
  kernel.code.assembled(
    nx,
    ny,
    nz,
    kernel.keep(kind),
    kernel.keep(blocksOf(tables)),
    kernel.keep(nodeAt),
    kernel.keep(slot),
    block,
  );
  kernel.release(scratch);
  const blocks = kernel.singles(block, BLOCK * known);
  const own = Int32Array.from({ length: nodes }, (_, node) => slot[27 * node + 13]!);
  const diagonal = new Float64Array(3 * nodes);
  for (let node = 0; node < nodes; node++)
    for (let c = 0; c < 3; c++) diagonal[3 * node + c] = blocks[BLOCK * own[node]! + 5 * c]!;
  return { rowStart, column: column.slice(0, known), block, own, diagonal };
}

/** Each cell's 24 × 24 figures as 64 blocks by rows of corners. */
function blocksOf(tables: readonly Float64Array[]): Float32Array {
  const found = new Float32Array(tables.length * CORNERS * CORNERS * BLOCK);
  let to = 0;
  for (const table of tables)
    for (let a = 0; a < CORNERS; a++)
      for (let b = 0; b < CORNERS; b++, to += BLOCK)
        for (let c = 0; c < 3; c++)
          for (let d = 0; d < 3; d++) found[to + 4 * d + c] = table[DOFS * (3 * a + c) + 3 * b + d]!;
  return found;
}

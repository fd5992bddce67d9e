import type { Bricks } from '../solid/bricks';
import { CORNERS, DOFS } from './brick';

/** One coarser grid: its nodes, the stiffness between them, and from which of them each finer node is filled. */
export interface Level {
  readonly nodes: number;
  /** Blocks of 3 × 3 by rows of nodes: first block of each node, node of each block, nine figures each. */
  readonly rowStart: Int32Array;
  readonly column: Int32Array;
  /** In single precision: it only steers the search. */
  readonly block: Float32Array;
  /** Where in its row each node itself stands. */
  readonly own: Int32Array;
  readonly diagonal: Float64Array;
  /** Coarse nodes over which each finer node is the mean: first of each, and all. */
  readonly parentStart: Int32Array;
  readonly parent: Int32Array;
  /** Place of each node in the order with the narrowest band, and how wide that is. */
  readonly order: Int32Array;
  readonly band: number;
}

/** Cells of a level, each with one of a few distinct stiffnesses. */
interface Cells {
  readonly size: readonly [number, number, number];
  /** One more than the number of its stiffness in `tables`, 0 where there is no material. */
  readonly kind: Int32Array;
  readonly tables: readonly Float64Array[];
  readonly nodeAt: Int32Array;
  readonly nodes: number;
  /** Place of every node in the grid of corners. */
  readonly corner: Int32Array;
}

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
export function levelsOf(bricks: Bricks, k: Float64Array, edgeMm: number, held: Uint8Array): Level[] {
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
    levels.push({ nodes: cells.nodes, ...assembled(cells), ...banded(cells), parentStart: start, parent });
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
    const [i, j, k] = [at % cx, Math.floor(at / cx) % cy, Math.floor(at / (cx * cy))];
    if (held?.[node] !== 1) {
      const [oi, oj, ok] = [fx === 2 ? i & 1 : 0, fy === 2 ? j & 1 : 0, fz === 2 ? k & 1 : 0];
      const [ci, cj, ck] = [fx === 2 ? i >> 1 : i, fy === 2 ? j >> 1 : j, fz === 2 ? k >> 1 : k];
      for (let c = ck; c <= ck + ok; c++)
        for (let b = cj; b <= cj + oj; b++)
          for (let a = ci; a <= ci + oi; a++) parent[known++] = cells.nodeAt[a + px * (b + py * c)]!;
    }
    start[node + 1] = known;
  }
  return { start, parent: parent.slice(0, known) };
}

/** Shares of the corners of a coarse cell in the corners of one of its children, 8 × 8 by rows of the child's corners. */
function childShares(
  child: readonly [number, number, number],
  factor: readonly [number, number, number],
): Float64Array {
  const shares = new Float64Array(CORNERS * CORNERS);
  for (let inner = 0; inner < CORNERS; inner++)
    for (let outer = 0; outer < CORNERS; outer++) {
      let product = 1;
      for (let axis = 0; axis < 3; axis++) {
        const t = (child[axis]! + ((inner >> axis) & 1)) / factor[axis]!;
        product *= (outer >> axis) & 1 ? t : 1 - t;
      }
      shares[CORNERS * inner + outer] = product;
    }
  return shares;
}

/** Adds sᵀ K s to a 24 × 24 stiffness, s between corners, alike in three directions; rows of `skip` count as zero. */
function addGalerkin(
  into: Float64Array,
  k: Float64Array,
  s: Float64Array,
  scale: number,
  skip: number,
): void {
  const half = new Float64Array(DOFS * DOFS);
  for (let a = 0; a < CORNERS; a++) {
    if ((skip >> a) & 1) continue;
    for (let b = 0; b < CORNERS; b++) {
      if ((skip >> b) & 1) continue;
      for (let q = 0; q < CORNERS; q++) {
        const share = s[CORNERS * b + q]!;
        if (share === 0) continue;
        for (let c = 0; c < 3; c++) {
          const [from, to] = [DOFS * (3 * a + c) + 3 * b, DOFS * (3 * a + c) + 3 * q];
          half[to]! += share * k[from]!;
          half[to + 1]! += share * k[from + 1]!;
          half[to + 2]! += share * k[from + 2]!;
        }
      }
    }
  }
  for (let a = 0; a < CORNERS; a++)
    for (let p = 0; p < CORNERS; p++) {
      const share = scale * s[CORNERS * a + p]!;
      if (share === 0) continue;
      for (let c = 0; c < 3; c++) {
        const [from, to] = [DOFS * (3 * a + c), DOFS * (3 * p + c)];
        for (let q = 0; q < DOFS; q++) into[to + q]! += share * half[from + q]!;
      }
    }
}

const childrenOf = (factor: readonly [number, number, number]): [number, number, number][] => {
  const list: [number, number, number][] = [];
  for (let c = 0; c < factor[2]; c++)
    for (let b = 0; b < factor[1]; b++) for (let a = 0; a < factor[0]; a++) list.push([a, b, c]);
  return list;
};

/** Gathers the children of every coarse cell into a key, and makes one stiffness for each key that occurs. */
function gathered(
  size: readonly [number, number, number],
  factor: readonly [number, number, number],
  fill: (keys: Int32Array, width: number, coarse: readonly [number, number, number]) => void,
  width: number,
  make: (key: Int32Array) => Float64Array,
): Cells {
  const coarse = size.map((n, axis) => Math.ceil(n / factor[axis]!)) as [number, number, number];
  const count = coarse[0] * coarse[1] * coarse[2];
  const keys = new Int32Array(count * width);
  fill(keys, width, coarse);
  const kind = new Int32Array(count);
  const tables: Float64Array[] = [];
  /** Cells whose keys have the same mark, and the stiffness of each. */
  const known = new Map<number, number[]>();
  const numberOf = new Map<number, number>();
  for (let cell = 0; cell < count; cell++) {
    const key = keys.subarray(cell * width, (cell + 1) * width);
    let mark = 0;
    for (let one = 0; one < width; one++) mark = (Math.imul(mark, 0x01000193) ^ key[one]!) | 0;
    if (mark === 0 && key.every((one) => one === 0)) continue;
    const alike = known.get(mark) ?? [];
    let at = alike.find((cellBefore) => same(keys, cellBefore * width, cell * width, width));
    if (at === undefined) {
      tables.push(make(key));
      known.set(mark, [...alike, cell]);
      at = cell;
      numberOf.set(cell, tables.length - 1);
    }
    kind[cell] = numberOf.get(at)! + 1;
  }
  return { size: coarse, kind, tables, ...numbered(coarse, kind) };
}

function same(keys: Int32Array, a: number, b: number, width: number): boolean {
  for (let at = 0; at < width; at++) if (keys[a + at] !== keys[b + at]) return false;
  return true;
}

function numbered(
  [nx, ny, nz]: readonly [number, number, number],
  kind: Int32Array,
): { nodeAt: Int32Array; nodes: number; corner: Int32Array } {
  const [cx, cy] = [nx + 1, ny + 1];
  const nodeAt = new Int32Array(cx * cy * (nz + 1)).fill(-1);
  for (let k = 0, cell = 0; k < nz; k++)
    for (let j = 0; j < ny; j++)
      for (let i = 0; i < nx; i++, cell++) {
        if (kind[cell] === 0) continue;
        for (let a = 0; a < CORNERS; a++)
          nodeAt[i + (a & 1) + cx * (j + ((a >> 1) & 1) + cy * (k + (a >> 2)))] = 0;
      }
  let nodes = 0;
  for (let at = 0; at < nodeAt.length; at++) if (nodeAt[at] === 0) nodeAt[at] = nodes++;
  const corner = new Int32Array(nodes);
  for (let at = 0; at < nodeAt.length; at++) if (nodeAt[at]! >= 0) corner[nodeAt[at]!] = at;
  return { nodeAt, nodes, corner };
}

/** Child kinds, and from the second half of the key the held corners of each. */
function coarserThanBricks(
  bricks: Bricks,
  k: Float64Array,
  edgeMm: number,
  held: Uint8Array,
  factor: readonly [number, number, number],
): Cells {
  const children = childrenOf(factor);
  const shares = children.map((child) => childShares(child, factor));
  const whole = shares.map((s) => {
    const into = new Float64Array(DOFS * DOFS);
    addGalerkin(into, k, s, edgeMm, 0);
    return into;
  });
  const [nx, ny] = bricks.size;
  const [cx, cy] = [nx + 1, ny + 1];
  const width = children.length;
  return gathered(
    bricks.size,
    factor,
    (keys, _, coarse) => {
      for (let brick = 0; brick < bricks.voxel.length; brick++) {
        const at = bricks.voxel[brick]!;
        const [i, j, l] = [at % nx, Math.floor(at / nx) % ny, Math.floor(at / (nx * ny))];
        const cell =
          Math.floor(i / factor[0]) +
          coarse[0] * (Math.floor(j / factor[1]) + coarse[1] * Math.floor(l / factor[2]));
        const child = (i % factor[0]) + factor[0] * ((j % factor[1]) + factor[1] * (l % factor[2]));
        let skip = 0;
        for (let a = 0; a < CORNERS; a++)
          if (held[bricks.nodeAt[i + (a & 1) + cx * (j + ((a >> 1) & 1) + cy * (l + (a >> 2)))]!] === 1)
            skip |= 1 << a;
        keys[cell * width + child] = (bricks.kind[brick]! + 1) | (skip << 16);
      }
    },
    width,
    (key) => {
      const table = new Float64Array(DOFS * DOFS);
      for (let child = 0; child < width; child++) {
        if (key[child] === 0) continue;
        const share = bricks.shares[(key[child]! & 0xffff) - 1]!;
        const skip = key[child]! >>> 16;
        if (skip !== 0) addGalerkin(table, k, shares[child]!, share * edgeMm, skip);
        else for (let at = 0; at < table.length; at++) table[at]! += share * whole[child]![at]!;
      }
      return table;
    },
  );
}

function coarser(cells: Cells, factor: readonly [number, number, number]): Cells {
  const children = childrenOf(factor);
  const shares = children.map((child) => childShares(child, factor));
  const [nx, ny, nz] = cells.size;
  const width = children.length;
  return gathered(
    cells.size,
    factor,
    (keys, _, coarse) => {
      for (let l = 0, at = 0; l < nz; l++)
        for (let j = 0; j < ny; j++)
          for (let i = 0; i < nx; i++, at++) {
            if (cells.kind[at] === 0) continue;
            const cell =
              Math.floor(i / factor[0]) +
              coarse[0] * (Math.floor(j / factor[1]) + coarse[1] * Math.floor(l / factor[2]));
            keys[
              cell * width + (i % factor[0]) + factor[0] * ((j % factor[1]) + factor[1] * (l % factor[2]))
            ] = cells.kind[at]!;
          }
    },
    width,
    (key) => {
      const table = new Float64Array(DOFS * DOFS);
      for (let child = 0; child < width; child++)
        if (key[child] !== 0) addGalerkin(table, cells.tables[key[child]! - 1]!, shares[child]!, 1, 0);
      return table;
    },
  );
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
function assembled({
  size: [nx, ny, nz],
  kind,
  tables,
  nodeAt,
  nodes,
  corner,
}: Cells): Pick<Level, 'rowStart' | 'column' | 'block' | 'own' | 'diagonal'> {
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
  const block = new Float32Array(9 * known);
  const around = new Int32Array(CORNERS);
  for (let k = 0, cell = 0; k < nz; k++)
    for (let j = 0; j < ny; j++)
      for (let i = 0; i < nx; i++, cell++) {
        if (kind[cell] === 0) continue;
        const table = tables[kind[cell]! - 1]!;
        for (let a = 0; a < CORNERS; a++)
          around[a] = nodeAt[i + (a & 1) + cx * (j + ((a >> 1) & 1) + cy * (k + (a >> 2)))]!;
        for (let a = 0; a < CORNERS; a++)
          for (let b = 0; b < CORNERS; b++) {
            const way =
              (b & 1) -
              (a & 1) +
              1 +
              3 * (((b >> 1) & 1) - ((a >> 1) & 1) + 1) +
              9 * ((b >> 2) - (a >> 2) + 1);
            const to = 9 * slot[27 * around[a]! + way]!;
            const from = DOFS * 3 * a + 3 * b;
            for (let c = 0; c < 3; c++)
              for (let d = 0; d < 3; d++) block[to + 3 * c + d]! += table[from + DOFS * c + d]!;
          }
      }
  const own = Int32Array.from({ length: nodes }, (_, node) => slot[27 * node + 13]!);
  const diagonal = new Float64Array(3 * nodes);
  for (let node = 0; node < nodes; node++)
    for (let c = 0; c < 3; c++) diagonal[3 * node + c] = block[9 * own[node]! + 4 * c]!;
  return { rowStart, column: column.slice(0, known), block, own, diagonal };
}

import { CORNERS } from './brick';
import type { Place } from './kernel/kernel';

/** Cells of a level, each with one of a few distinct stiffnesses. */
export interface Cells {
  readonly size: readonly [number, number, number];
  /** One more than the number of its stiffness in `tables`, 0 where there is no material. */
  readonly kind: Int32Array;
  readonly tables: readonly Float64Array[];
  readonly nodeAt: Int32Array;
  readonly nodes: number;
  /** Place of every node in the grid of corners. */
  readonly corner: Int32Array;
}
export const childrenOf = (factor: readonly [number, number, number]): [number, number, number][] => {
  const list: [number, number, number][] = [];
  for (let c = 0; c < factor[2]; c++)
    for (let b = 0; b < factor[1]; b++) for (let a = 0; a < factor[0]; a++) list.push([a, b, c]);
  return list;
};

/** Figures of a block. */
export const BLOCK = 12;

/** One coarser grid: its nodes, the stiffness between them, and from which of them each finer node is filled. */
export interface Level {
  readonly nodes: number;
  /** Blocks of 3 × 3 by rows of nodes: first block of each node, node of each block, its three columns with nothing after each. */
  readonly rowStart: Int32Array;
  readonly column: Int32Array;
  /** In the kernel's memory, in single precision: it only steers the search. */
  readonly block: Place;
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
/** Shares of the corners of a coarse cell in the corners of one of its children, 8 × 8 by rows of the child's corners. */
export function childShares(
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

/** Gathers the children of every coarse cell into a key, and makes one stiffness for each key that occurs. */
export function gathered(
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
export function same(keys: Int32Array, a: number, b: number, width: number): boolean {
  for (let at = 0; at < width; at++) if (keys[a + at] !== keys[b + at]) return false;
  return true;
}
export function numbered(
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

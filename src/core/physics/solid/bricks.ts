import { type Measure, measure } from '../../base/measure';
import { refusal } from '../../base/errors';

declare module '../../base/errors' {
  interface RefusalFacts {
    'fem.freedoms': { freedoms: Measure; most: Measure };
  }
}

/** A solid of cubes on a grid, only those that are material numbered. */
export interface Bricks {
  /** Voxels of the grid along x, y, z. */
  readonly size: readonly [number, number, number];
  /** Place in the grid of each brick, x fastest. */
  readonly voxel: Int32Array;
  /** Which of `shares` each brick has. */
  readonly kind: Uint8Array;
  /** Stiffness of each kind over that of the solid. */
  readonly shares: readonly number[];
  /** Place in the grid of corners of each node, x fastest. */
  readonly corner: Int32Array;
  /** Number of the node at each place in the grid of corners, −1 where none is. */
  readonly nodeAt: Int32Array;
  /** Unbroken rows along x: four nodes of the first face (y and z low, y high, z high, both high), bricks in it, number of the first. */
  readonly runs: Int32Array;
}

export const RUN = 6;
/** Kinds in a grid: 0 no material, then one more than the index of its share. */
export type Solid = Uint8Array;

export const MOST_DOFS = 3_000_000;

/**
 * Numbers the bricks of a grid and their corners.
 *
 * @throws CalcError at `voxelMm` where it is more than a browser holds, at `mesh` where pieces hang on each other by edges or not at all
 */
export function bricksOf(solid: Solid, size: Bricks['size'], shares: readonly number[]): Bricks {
  const [nx, ny, nz] = size;
  const [cx, cy] = [nx + 1, ny + 1];
  const nodeAt = new Int32Array(cx * cy * (nz + 1)).fill(-1);
  let count = 0;
  for (let at = 0; at < solid.length; at++) if (solid[at]! > 0) count++;
  const [voxel, kind] = [new Int32Array(count), new Uint8Array(count)];
  const runs: number[] = [];
  let known = 0;
  for (let k = 0; k < nz; k++)
    for (let j = 0; j < ny; j++) {
      let length = 0;
      for (let i = 0, at = nx * (j + ny * k); i <= nx; i++, at++) {
        if (i < nx && solid[at]! > 0) {
          voxel[known] = at;
          kind[known++] = solid[at]! - 1;
          const low = i + cx * (j + cy * k);
          const high = low + cx * cy;
          nodeAt[low] = nodeAt[low + 1] = nodeAt[low + cx] = nodeAt[low + cx + 1] = 0;
          nodeAt[high] = nodeAt[high + 1] = nodeAt[high + cx] = nodeAt[high + cx + 1] = 0;
          length++;
        } else if (length > 0) {
          const low = i - length + cx * (j + cy * k);
          runs.push(low, low + cx, low + cx * cy, low + cx * cy + cx, length, known - length);
          length = 0;
        }
      }
    }
  let nodes = 0;
  for (let at = 0; at < nodeAt.length; at++) if (nodeAt[at] === 0) nodeAt[at] = nodes++;
  if (3 * nodes > MOST_DOFS)
    throw refusal('voxelMm', 'fem.freedoms', {
      freedoms: measure(3 * nodes, 'count', 9),
      most: measure(MOST_DOFS, 'count', 9),
    });
  const corner = new Int32Array(nodes);
  for (let at = 0; at < nodeAt.length; at++) if (nodeAt[at]! >= 0) corner[nodeAt[at]!] = at;
  const rows = Int32Array.from(runs);
  for (let at = 0; at < rows.length; at += RUN)
    for (let face = 0; face < 4; face++) rows[at + face] = nodeAt[rows[at + face]!]!;
  return { size, voxel, kind, shares, corner, nodeAt, runs: rows };
}

/** How many pieces hang together by faces. */
export function piecesOf(solid: Solid, [nx, ny]: Bricks['size']): number {
  const seen = new Uint8Array(solid.length);
  const waiting: number[] = [];
  const layer = nx * ny;
  let pieces = 0;
  const visit = (at: number) => {
    if (at < 0 || at >= solid.length || seen[at] !== 0 || solid[at] === 0) return;
    seen[at] = 1;
    waiting.push(at);
  };
  for (let start = 0; start < solid.length; start++) {
    if (solid[start] === 0 || seen[start] !== 0) continue;
    pieces++;
    visit(start);
    while (waiting.length > 0) {
      const at = waiting.pop()!;
      const i = at % nx;
      const j = Math.floor(at / nx) % ny;
      if (i > 0) visit(at - 1);
      if (i < nx - 1) visit(at + 1);
      if (j > 0) visit(at - nx);
      if (j < ny - 1) visit(at + nx);
      visit(at - layer);
      visit(at + layer);
    }
  }
  return pieces;
}

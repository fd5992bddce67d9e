import type { Bricks } from '../solid/bricks';
import { CORNERS, DOFS } from './brick';
import { type Cells, childrenOf, childShares, gathered } from './cells';

/** Child kinds, and from the second half of the key the held corners of each. */
export function coarserThanBricks(
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
  const [fx, fy, fz] = factor;
  const width = children.length;
  return gathered(
    bricks.size,
    factor,
    (keys, _, coarse) => {
      for (let brick = 0; brick < bricks.voxel.length; brick++) {
        const at = bricks.voxel[brick]!;
        const row = Math.floor(at / nx);
        const l = Math.floor(row / ny);
        const i = at - nx * row;
        const j = row - ny * l;
        const ci = Math.floor(i / fx);
        const cj = Math.floor(j / fy);
        const cl = Math.floor(l / fz);
        const cell = ci + coarse[0] * (cj + coarse[1] * cl);
        const child = i - fx * ci + fx * (j - fy * cj + fy * (l - fz * cl));
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
export function coarser(cells: Cells, factor: readonly [number, number, number]): Cells {
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
/** Adds sᵀ K s to a 24 × 24 stiffness, s between corners, alike in three directions; rows of `skip` count as zero. */
export function addGalerkin(
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

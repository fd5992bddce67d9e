import type { Mesh } from '../meshFiles/mesh';
import type { Bricks, Solid } from './bricks';

export interface Grid {
  readonly size: Bricks['size'];
  readonly edgeMm: number;
  /** Corner of the first voxel. */
  readonly origin: readonly [number, number, number];
}

/** Room for rounding in the number of voxels, of one. */
const ROUNDING = 1e-6;

/** The grid that covers a mesh from its lowest corner. */
export function gridOver({ vertices }: Mesh, edgeMm: number): Grid {
  const [low, high] = [
    [Infinity, Infinity, Infinity],
    [-Infinity, -Infinity, -Infinity],
  ];
  for (let at = 0; at < vertices.length; at++) {
    const axis = at % 3;
    if (vertices[at]! < low[axis]!) low[axis] = vertices[at]!;
    if (vertices[at]! > high[axis]!) high[axis] = vertices[at]!;
  }
  const size = low.map((least, axis) =>
    Math.max(1, Math.ceil((high[axis]! - least) / edgeMm - ROUNDING)),
  ) as unknown as Grid['size'];
  return { size, edgeMm, origin: low as unknown as Grid['origin'] };
}

/**
 * Voxels whose centre lies in the mesh, by the faces a line upwards passes.
 *
 * @returns 1 where there is material
 */
export function voxelised(mesh: Mesh, grid: Grid): Solid {
  const [nx, ny, nz] = grid.size;
  const crossings = crossingsOf(mesh, grid);
  const solid = new Uint8Array(nx * ny * nz);
  const winding = new Int16Array(nz + 1);
  for (let column = 0; column < nx * ny; column++) {
    const from = crossings.start[column]!;
    const to = crossings.start[column + 1]!;
    if (from === to) continue;
    winding.fill(0);
    for (let at = from; at < to; at++) winding[crossings.level[at]!]! += crossings.turn[at]!;
    let inside = 0;
    for (let k = 0; k < nz; k++) {
      inside += winding[k]!;
      if (inside > 0) solid[column + nx * ny * k] = 1;
    }
  }
  return solid;
}

/** Whether a centre lies inside two surfaces, or inside one that looks inwards. */
export function overlaps(mesh: Mesh, grid: Grid): boolean {
  const [nx, ny, nz] = grid.size;
  const { start, level, turn } = crossingsOf(mesh, grid);
  const winding = new Int16Array(nz + 1);
  for (let column = 0; column < nx * ny; column++) {
    winding.fill(0);
    for (let at = start[column]!; at < start[column + 1]!; at++) winding[level[at]!]! += turn[at]!;
    let inside = 0;
    for (let k = 0; k < nz; k++) {
      inside += winding[k]!;
      if (inside < 0 || inside > 1) return true;
    }
  }
  return false;
}

/** For every column of voxels the first centre above each face it passes, and whether the line goes in (1) or out (−1). */
function crossingsOf(
  { vertices, triangles }: Mesh,
  { size: [nx, ny, nz], edgeMm, origin }: Grid,
): { start: Int32Array; level: Int32Array; turn: Int8Array } {
  const count = new Int32Array(nx * ny + 1);
  let level = new Int32Array(0);
  let turn = new Int8Array(0);
  const start = new Int32Array(nx * ny + 1);
  for (let pass = 0; pass < 2; pass++) {
    for (let at = 0; at < triangles.length; at += 3) {
      const [a, b, c] = [3 * triangles[at]!, 3 * triangles[at + 1]!, 3 * triangles[at + 2]!];
      const [ax, ay, bx, by, cx, cy] = [
        vertices[a]!,
        vertices[a + 1]!,
        vertices[b]!,
        vertices[b + 1]!,
        vertices[c]!,
        vertices[c + 1]!,
      ];
      const firstI = Math.max(0, Math.ceil((Math.min(ax, bx, cx) - origin[0]) / edgeMm - 0.5));
      const lastI = Math.min(nx - 1, Math.floor((Math.max(ax, bx, cx) - origin[0]) / edgeMm - 0.5));
      const firstJ = Math.max(0, Math.ceil((Math.min(ay, by, cy) - origin[1]) / edgeMm - 0.5));
      const lastJ = Math.min(ny - 1, Math.floor((Math.max(ay, by, cy) - origin[1]) / edgeMm - 0.5));
      for (let j = firstJ; j <= lastJ; j++) {
        const y = origin[1] + (j + 0.5) * edgeMm;
        for (let i = firstI; i <= lastI; i++) {
          const x = origin[0] + (i + 0.5) * edgeMm;
          const [p, q, r] = [
            side(ax, ay, bx, by, x, y),
            side(bx, by, cx, cy, x, y),
            side(cx, cy, ax, ay, x, y),
          ];
          if (p !== q || q !== r) continue;
          const column = i + nx * j;
          if (pass === 0) {
            count[column]!++;
            continue;
          }
          const [u, v] = [edge(bx, by, cx, cy, x, y), edge(cx, cy, ax, ay, x, y)];
          const whole = u + v + edge(ax, ay, bx, by, x, y);
          const z =
            (u * vertices[a + 2]! + v * vertices[b + 2]! + (whole - u - v) * vertices[c + 2]!) / whole;
          const slot = start[column]! + --count[column]!;
          level[slot] = Math.max(0, Math.min(nz, Math.ceil((z - origin[2]) / edgeMm - 0.5)));
          turn[slot] = p ? -1 : 1;
        }
      }
    }
    if (pass === 0) {
      for (let column = 0; column < nx * ny; column++) start[column + 1] = start[column]! + count[column]!;
      level = new Int32Array(start[nx * ny]!);
      turn = new Int8Array(start[nx * ny]!);
    }
  }
  return { start, level, turn };
}

const edge = (ax: number, ay: number, bx: number, by: number, x: number, y: number): number =>
  (bx - ax) * (y - ay) - (by - ay) * (x - ax);

/**
 * Whether a place lies to the left of an edge, or on it where the edge counts as passing to the right of it: the same answer
 * from both triangles that share the edge, so that a line through an edge passes one of them.
 */
function side(ax: number, ay: number, bx: number, by: number, x: number, y: number): boolean {
  const forward = ax < bx || (ax === bx && ay < by);
  const value = forward ? edge(ax, ay, bx, by, x, y) : edge(bx, by, ax, ay, x, y);
  return forward ? value >= 0 : value < 0;
}

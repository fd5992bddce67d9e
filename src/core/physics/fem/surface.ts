import { turnBack, type Vec3 } from '../../base/vec3';
import type { FemSolution } from './definition';

/** The skin of the bricks for a picture: four corners a square, in the mesh's axes. */
export interface FemSurface {
  /** mm. */
  positions: Float32Array;
  /** How far each corner moves, mm. */
  moves: Float32Array;
  /** Of the brick behind each corner. */
  margins: Float32Array;
  criteria: Uint8Array;
  /** Two triangles a square. */
  index: Uint32Array;
}

/** Faces of a brick: the step to its neighbour, and its corners counter-clockwise from outside. */
const FACES: readonly { step: Vec3; corners: readonly [number, number, number, number] }[] = [
  { step: [-1, 0, 0], corners: [0, 4, 6, 2] },
  { step: [1, 0, 0], corners: [1, 3, 7, 5] },
  { step: [0, -1, 0], corners: [0, 1, 5, 4] },
  { step: [0, 1, 0], corners: [2, 6, 7, 3] },
  { step: [0, 0, -1], corners: [0, 2, 3, 1] },
  { step: [0, 0, 1], corners: [4, 5, 7, 6] },
];

/** The outer squares of a solved part with their margins and movement. */
export function surfaceOf({ bricks, grid, turned, displacement, stress }: FemSolution): FemSurface {
  const [nx, ny, nz] = bricks.size;
  const filled = new Uint8Array(nx * ny * nz);
  for (const at of bricks.voxel) filled[at] = 1;
  const placeOf = (brick: number): Vec3 => {
    const at = bricks.voxel[brick]!;
    return [at % nx, Math.floor(at / nx) % ny, Math.floor(at / (nx * ny))];
  };
  const inner = ([x, y, z]: Vec3, step: Vec3): boolean => {
    const [i, j, k] = [x + step[0], y + step[1], z + step[2]];
    return i >= 0 && j >= 0 && k >= 0 && i < nx && j < ny && k < nz && filled[i + nx * (j + ny * k)] === 1;
  };
  let squares = 0;
  for (let brick = 0; brick < bricks.voxel.length; brick++)
    for (const { step } of FACES) if (!inner(placeOf(brick), step)) squares++;
  const surface: FemSurface = {
    positions: new Float32Array(12 * squares),
    moves: new Float32Array(12 * squares),
    margins: new Float32Array(4 * squares),
    criteria: new Uint8Array(4 * squares),
    index: new Uint32Array(6 * squares),
  };
  let [corner, square] = [0, 0];
  for (let brick = 0; brick < bricks.voxel.length; brick++) {
    const place = placeOf(brick);
    for (const { step, corners } of FACES) {
      if (inner(place, step)) continue;
      surface.index.set([corner, corner + 1, corner + 2, corner, corner + 2, corner + 3], 6 * square++);
      for (const own of corners) {
        const c = [place[0] + (own & 1), place[1] + ((own >> 1) & 1), place[2] + (own >> 2)] as const;
        const node = bricks.nodeAt[c[0] + (nx + 1) * (c[1] + (ny + 1) * c[2])]!;
        surface.positions.set(
          turnBack(turned, [
            grid.origin[0] + c[0] * grid.edgeMm,
            grid.origin[1] + c[1] * grid.edgeMm,
            grid.origin[2] + c[2] * grid.edgeMm,
          ]),
          3 * corner,
        );
        surface.moves.set(
          turnBack(turned, [
            displacement[3 * node]!,
            displacement[3 * node + 1]!,
            displacement[3 * node + 2]!,
          ]),
          3 * corner,
        );
        surface.margins[corner] = stress.margin[brick]!;
        surface.criteria[corner++] = stress.criterion[brick]!;
      }
    }
  }
  return surface;
}

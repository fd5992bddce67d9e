import { turnBack, type Vec3 } from '../../vec3';
import type { FemSolution } from './fem';

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
  { step: [-1, 0, 0], corners: [0, 4, 6, 2] }, { step: [1, 0, 0], corners: [1, 3, 7, 5] },
  { step: [0, -1, 0], corners: [0, 1, 5, 4] }, { step: [0, 1, 0], corners: [2, 6, 7, 3] },
  { step: [0, 0, -1], corners: [0, 2, 3, 1] }, { step: [0, 0, 1], corners: [4, 5, 7, 6] },
];

/** The outer squares of a solved part with their margins and movement. */
export function surfaceOf({ bricks, grid, turned, displacement, stress }: FemSolution): FemSurface {
  const [nx, ny, nz] = bricks.size;
  const filled = new Uint8Array(nx * ny * nz);
  for (const at of bricks.voxel) filled[at] = 1;
  const [positions, moves, margins, criteria, index]: [number[], number[], number[], number[], number[]] = [[], [], [], [], []];
  for (let brick = 0; brick < bricks.voxel.length; brick++) {
    const at = bricks.voxel[brick]!;
    const place = [at % nx, Math.floor(at / nx) % ny, Math.floor(at / (nx * ny))] as const;
    for (const { step, corners } of FACES) {
      const [i, j, k] = [place[0] + step[0], place[1] + step[1], place[2] + step[2]];
      if (i >= 0 && j >= 0 && k >= 0 && i < nx && j < ny && k < nz && filled[i + nx * (j + ny * k)] === 1) continue;
      const first = margins.length;
      for (const corner of corners) {
        const c = [place[0] + (corner & 1), place[1] + ((corner >> 1) & 1), place[2] + (corner >> 2)] as const;
        const node = bricks.nodeAt[c[0] + (nx + 1) * (c[1] + (ny + 1) * c[2])]!;
        positions.push(...turnBack(turned, [grid.origin[0] + c[0] * grid.edgeMm, grid.origin[1] + c[1] * grid.edgeMm, grid.origin[2] + c[2] * grid.edgeMm]));
        moves.push(...turnBack(turned, [displacement[3 * node]!, displacement[3 * node + 1]!, displacement[3 * node + 2]!]));
        margins.push(stress.margin[brick]!);
        criteria.push(stress.criterion[brick]!);
      }
      index.push(first, first + 1, first + 2, first, first + 2, first + 3);
    }
  }
  return { positions: Float32Array.from(positions), moves: Float32Array.from(moves), margins: Float32Array.from(margins), criteria: Uint8Array.from(criteria), index: Uint32Array.from(index) };
}


import { CORNERS, type Stiffness } from './brick';
import type { Bricks } from '../solid/bricks';

const STRESSES = 6;

export const FAILS_BY = ['in the layer', 'layers pulled apart', 'layers sheared'] as const;
export type FailsBy = (typeof FAILS_BY)[number];

export interface StressField {
  /** Strength over stress at each brick's centre, by the criterion that is nearest. */
  readonly margin: Float32Array;
  /** Which of `FAILS_BY` that is. */
  readonly criterion: Uint8Array;
  readonly vonMises: Float32Array;
}

export interface Strengths {
  planeMpa: number;
  acrossMpa: number;
  shearMpa: number;
}

/** A margin where nothing is stressed. */
export const MOST_MARGIN = 1e6;

/** Reads the stress at the centre of a brick, xx yy zz yz zx xy in MPa, as its own share of the solid would bear it. */
export function stressReader(
  { size: [nx, ny], voxel, nodeAt }: Bricks,
  c: Stiffness,
  edgeMm: number,
  u: Float64Array,
): (brick: number, into: Float64Array) => void {
  const quarter = 1 / (4 * edgeMm);
  const [cx, cy] = [nx + 1, ny + 1];
  /** Slopes of the three displacements along x, y and z at the centre: differences of opposite faces. */
  const slope = new Float64Array(9);
  const strain = new Float64Array(STRESSES);
  return (brick, into) => {
    const at = voxel[brick]!;
    const first = (at % nx) + cx * ((Math.floor(at / nx) % ny) + cy * Math.floor(at / (nx * ny)));
    slope.fill(0);
    for (let a = 0; a < CORNERS; a++) {
      const node = 3 * nodeAt[first + (a & 1) + cx * (((a >> 1) & 1) + cy * (a >> 2))]!;
      const [sx, sy, sz] = [
        a & 1 ? quarter : -quarter,
        a & 2 ? quarter : -quarter,
        a & 4 ? quarter : -quarter,
      ];
      for (let axis = 0; axis < 3; axis++) {
        const value = u[node + axis]!;
        slope[3 * axis]! += sx * value;
        slope[3 * axis + 1]! += sy * value;
        slope[3 * axis + 2]! += sz * value;
      }
    }
    strain[0] = slope[0]!;
    strain[1] = slope[4]!;
    strain[2] = slope[8]!;
    strain[3] = slope[5]! + slope[7]!;
    strain[4] = slope[2]! + slope[6]!;
    strain[5] = slope[1]! + slope[3]!;
    for (let row = 0; row < STRESSES; row++) {
      let sum = 0;
      for (let column = 0; column < STRESSES; column++) sum += c[STRESSES * row + column]! * strain[column]!;
      into[row] = sum;
    }
  };
}

/** Stresses at the centres of the bricks against what the layers and what is between them bear. */
export function stressesOf(
  bricks: Bricks,
  c: Stiffness,
  strengths: Strengths,
  edgeMm: number,
  u: Float64Array,
): StressField {
  const { voxel, kind, shares } = bricks;
  const [margin, criterion, vonMises] = [
    new Float32Array(voxel.length),
    new Uint8Array(voxel.length),
    new Float32Array(voxel.length),
  ];
  const read = stressReader(bricks, c, edgeMm, u);
  const s = new Float64Array(STRESSES);
  for (let brick = 0; brick < voxel.length; brick++) {
    read(brick, s);
    const [x, y, z, yz, zx, xy] = [s[0]!, s[1]!, s[2]!, s[3]!, s[4]!, s[5]!];
    const mises = Math.sqrt(
      ((x - y) ** 2 + (y - z) ** 2 + (z - x) ** 2) / 2 + 3 * (xy * xy + yz * yz + zx * zx),
    );
    // infill is weaker by the share it is softer: the strains of the solid against the strengths of the solid
    const used = [
      mises / strengths.planeMpa,
      Math.max(0, z) / strengths.acrossMpa,
      Math.sqrt(yz * yz + zx * zx) / strengths.shearMpa,
    ] as const;
    const worst = used[1] > used[0] ? (used[2] > used[1] ? 2 : 1) : used[2] > used[0] ? 2 : 0;
    margin[brick] = used[worst] > 1 / MOST_MARGIN ? 1 / used[worst] : MOST_MARGIN;
    criterion[brick] = worst;
    vonMises[brick] = shares[kind[brick]!]! * mises;
  }
  return { margin, criterion, vonMises };
}

import type { Stiffness } from './brick';
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
  const [xx, xy, xz, yy, yz, zz] = [c[0]!, c[1]!, c[2]!, c[7]!, c[8]!, c[14]!];
  const [shearYz, shearZx, shearXy] = [c[21]!, c[28]!, c[35]!];
  /** Slopes of a displacement along x, y and z at the centre, one after the other: differences of opposite faces. */
  const slope = new Float64Array(9);
  return (brick, into) => {
    const at = voxel[brick]!;
    const row = Math.floor(at / nx);
    const layer = Math.floor(row / ny);
    const first = at - nx * row + cx * (row - ny * layer + cy * layer);
    // four edges along x: their second node is the next one
    const [a, b] = [3 * nodeAt[first]!, 3 * nodeAt[first + cx]!];
    const [d, e] = [3 * nodeAt[first + cx * cy]!, 3 * nodeAt[first + cx * cy + cx]!];
    for (let axis = 0; axis < 3; axis++) {
      const [a0, a1] = [u[a + axis]!, u[a + 3 + axis]!];
      const [b0, b1] = [u[b + axis]!, u[b + 3 + axis]!];
      const [d0, d1] = [u[d + axis]!, u[d + 3 + axis]!];
      const [e0, e1] = [u[e + axis]!, u[e + 3 + axis]!];
      slope[3 * axis] = quarter * (a1 - a0 + (b1 - b0) + (d1 - d0) + (e1 - e0));
      slope[3 * axis + 1] = quarter * (b0 - a0 + (b1 - a1) + (e0 - d0) + (e1 - d1));
      slope[3 * axis + 2] = quarter * (d0 - a0 + (d1 - a1) + (e0 - b0) + (e1 - b1));
    }
    const [alongX, alongY, alongZ] = [slope[0]!, slope[4]!, slope[8]!];
    into[0] = xx * alongX + xy * alongY + xz * alongZ;
    into[1] = xy * alongX + yy * alongY + yz * alongZ;
    into[2] = xz * alongX + yz * alongY + zz * alongZ;
    into[3] = shearYz * (slope[5]! + slope[7]!);
    into[4] = shearZx * (slope[2]! + slope[6]!);
    into[5] = shearXy * (slope[1]! + slope[3]!);
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
    const x = s[0]!;
    const y = s[1]!;
    const z = s[2]!;
    const yz = s[3]!;
    const zx = s[4]!;
    const xy = s[5]!;
    const mises = Math.sqrt(
      ((x - y) ** 2 + (y - z) ** 2 + (z - x) ** 2) / 2 + 3 * (xy * xy + yz * yz + zx * zx),
    );
    // infill is weaker by the share it is softer: the strains of the solid against the strengths of the solid
    const inLayer = mises / strengths.planeMpa;
    const apart = Math.max(0, z) / strengths.acrossMpa;
    const sheared = Math.sqrt(yz * yz + zx * zx) / strengths.shearMpa;
    const used = Math.max(inLayer, apart, sheared);
    const worst = used === inLayer ? 0 : used === apart ? 1 : 2;
    margin[brick] = used > 1 / MOST_MARGIN ? 1 / used : MOST_MARGIN;
    criterion[brick] = worst;
    vonMises[brick] = shares[kind[brick]!]! * mises;
  }
  return { margin, criterion, vonMises };
}

import { refusal } from '../../base/errors';
import type { StrengthMaterial } from '../strength/allowable';

declare module '../../base/errors' {
  interface RefusalFacts {
    'fem.material': { nu: number };
  }
}

/** Nodes of a brick: bit 0 is x, bit 1 is y, bit 2 is z. */
export const CORNERS = 8;
export const DOFS = 24;
const STRAINS = 6;
const MODES = 9;
const USUAL_POISSON = 0.35;

/** What a layered material answers to strain, 6 × 6 by rows, order xx yy zz yz zx xy, z across the layers; MPa. */
export type Stiffness = Float64Array;

/**
 * Stiffness of a solid that is alike in all directions of its layers and softer or stiffer across them.
 *
 * @throws CalcError where the figures would give back energy
 * @see Jones, Mechanics of Composite Materials, ch. 2 (transverse isotropy)
 */
export function layeredStiffness({
  modulusMpa: e,
  modulusRatio = 1,
  poisson: nu = USUAL_POISSON,
}: Pick<StrengthMaterial, 'modulusMpa' | 'modulusRatio' | 'poisson'>): Stiffness {
  const ez = modulusRatio * e;
  const across = 1 - nu - 2 * nu * nu * modulusRatio;
  if (across <= 0) throw refusal('material.modulusRatio', 'fem.material', { nu });
  // compliance: 1/E, −ν/E in the layers and across, 1/Ez
  const unit = e / ((1 + nu) * across);
  const [xx, xy] = [unit * (1 - nu * nu * modulusRatio), unit * (nu + nu * nu * modulusRatio)];
  const xz = (ez * nu) / across;
  const zz = (ez * (1 - nu)) / across;
  const c = new Float64Array(STRAINS * STRAINS);
  const put = (row: number, column: number, value: number) => {
    c[STRAINS * row + column] = value;
    c[STRAINS * column + row] = value;
  };
  put(0, 0, xx);
  put(1, 1, xx);
  put(2, 2, zz);
  put(0, 1, xy);
  put(0, 2, xz);
  put(1, 2, xz);
  put(3, 3, ez / (2 * (1 + nu)));
  put(4, 4, ez / (2 * (1 + nu)));
  put(5, 5, e / (2 * (1 + nu)));
  return c;
}

const GAUSS = [0.5 - 0.5 / Math.sqrt(3), 0.5 + 0.5 / Math.sqrt(3)] as const;

/** Strains of unit displacements at a place of the unit cube, 6 × 24 by rows. */
export function strainsAt(x: number, y: number, z: number): Float64Array {
  const b = new Float64Array(STRAINS * DOFS);
  const share = (bit: number, at: number) => (bit === 0 ? 1 - at : at);
  const slope = (bit: number) => (bit === 0 ? -1 : 1);
  for (let node = 0; node < CORNERS; node++) {
    const [i, j, k] = [node & 1, (node >> 1) & 1, node >> 2];
    spread(
      b,
      DOFS,
      3 * node,
      slope(i) * share(j, y) * share(k, z),
      share(i, x) * slope(j) * share(k, z),
      share(i, x) * share(j, y) * slope(k),
    );
  }
  return b;
}

/** Strains of the nine bubbles 1 − ξ² that let a brick bend, 6 × 9 by rows. */
function bubblesAt(place: readonly [number, number, number]): Float64Array {
  const b = new Float64Array(STRAINS * MODES);
  for (let axis = 0; axis < 3; axis++) {
    const slope = [0, 0, 0];
    slope[axis] = -4 * (2 * place[axis]! - 1);
    spread(b, MODES, 3 * axis, slope[0]!, slope[1]!, slope[2]!);
  }
  return b;
}

/** Puts the strains of three displacements with one shape's slopes into a matrix. */
function spread(b: Float64Array, columns: number, at: number, dx: number, dy: number, dz: number): void {
  b[at] = dx;
  b[columns + at + 1] = dy;
  b[2 * columns + at + 2] = dz;
  b[3 * columns + at + 1] = dz;
  b[3 * columns + at + 2] = dy;
  b[4 * columns + at] = dz;
  b[4 * columns + at + 2] = dx;
  b[5 * columns + at] = dy;
  b[5 * columns + at + 1] = dx;
}

/**
 * Stiffness of a cube with an edge of 1 mm, the bubbles condensed out; one of another edge is that many times as stiff.
 *
 * @returns 24 × 24 by rows, N/mm
 * @see Wilson et al. 1973 and Taylor, Beresford, Wilson 1976: incompatible modes
 */
export function brickStiffness(c: Stiffness): Float64Array {
  const [uu, ua, aa] = [
    new Float64Array(DOFS * DOFS),
    new Float64Array(DOFS * MODES),
    new Float64Array(MODES * MODES),
  ];
  for (const x of GAUSS)
    for (const y of GAUSS)
      for (const z of GAUSS) {
        const [b, g] = [strainsAt(x, y, z), bubblesAt([x, y, z])];
        addProduct(uu, b, DOFS, b, DOFS, c);
        addProduct(ua, b, DOFS, g, MODES, c);
        addProduct(aa, g, MODES, g, MODES, c);
      }
  const solved = solveAll(aa, ua);
  for (let row = 0; row < DOFS; row++)
    for (let column = 0; column < DOFS; column++)
      for (let m = 0; m < MODES; m++)
        uu[DOFS * row + column]! -= ua[MODES * row + m]! * solved[MODES * column + m]!;
  return uu;
}

/** Adds leftᵀ C right over eight, the weight of a Gauss point in the unit cube. */
function addProduct(
  into: Float64Array,
  left: Float64Array,
  rows: number,
  right: Float64Array,
  columns: number,
  c: Stiffness,
): void {
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      let sum = 0;
      for (let p = 0; p < STRAINS; p++)
        for (let q = 0; q < STRAINS; q++)
          sum += left[rows * p + row]! * c[STRAINS * p + q]! * right[columns * q + column]!;
      into[columns * row + column]! += sum / 8;
    }
}

/** aa⁻¹ of every row of `ua`, by Gauss elimination. */
function solveAll(aa: Float64Array, ua: Float64Array): Float64Array {
  const a = aa.slice();
  const x = ua.slice();
  for (let pivot = 0; pivot < MODES; pivot++)
    for (let row = 0; row < MODES; row++) {
      if (row === pivot) continue;
      const share = a[MODES * row + pivot]! / a[MODES * pivot + pivot]!;
      for (let column = pivot; column < MODES; column++)
        a[MODES * row + column]! -= share * a[MODES * pivot + column]!;
      for (let side = 0; side < DOFS; side++) x[MODES * side + row]! -= share * x[MODES * side + pivot]!;
    }
  for (let side = 0; side < DOFS; side++)
    for (let m = 0; m < MODES; m++) x[MODES * side + m]! /= a[MODES * m + m]!;
  return x;
}

/**
 * The brick's stiffness seen by sums and differences of its corners (signs +1 where a corner's bit is 0, −1 where it is 1):
 * three mirror planes leave 36 figures of 576.
 *
 * @returns W, with forces = H W H displacements; 24 × 24 by rows, rows of 3·pattern + direction
 */
export function patternStiffness(k: Float64Array): Float64Array {
  const sign = (pattern: number, node: number) => (parity(pattern & node) ? -1 : 1);
  const w = new Float64Array(DOFS * DOFS);
  for (let s = 0; s < CORNERS; s++)
    for (let t = 0; t < CORNERS; t++)
      for (let c = 0; c < 3; c++)
        for (let d = 0; d < 3; d++) {
          let sum = 0;
          for (let a = 0; a < CORNERS; a++)
            for (let b = 0; b < CORNERS; b++)
              sum += sign(s, a) * sign(t, b) * k[DOFS * (3 * a + c) + 3 * b + d]!;
          w[DOFS * (3 * s + c) + 3 * t + d] = sum / 64;
        }
  return w;
}

const parity = (bits: number): boolean => ((bits ^ (bits >> 1) ^ (bits >> 2)) & 1) === 1;

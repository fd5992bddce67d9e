import { type Bricks, RUN } from '../solid/bricks';
import { DOFS } from './brick';

/** The stiffness of all bricks without ever being written down. */
export interface Product {
  /** y = K x over all nodes, three figures each. */
  apply(x: Float64Array, y: Float64Array): void;
  /** Diagonal of K. */
  diagonal(): Float64Array;
}

/**
 * Rows of bricks along x: each face is turned into sums and differences once, serves the brick before and the brick after it,
 * and gives its forces back once.
 *
 * @param w the brick's stiffness by patterns, of a cube with an edge of 1 mm
 */
export function productOf(bricks: Bricks, k: Float64Array, w: Float64Array, edgeMm: number): Product {
  const { runs, kind, corner } = bricks;
  const shares = Float64Array.from(bricks.shares, (share) => share * edgeMm);
  const at = (s: number, c: number, t: number, d: number) => w[DOFS * (3 * s + c) + 3 * t + d]!;
  // straight strains, twist and, plane by plane, bending
  const [nxx, nxy, nxz, nyy, nyz, nzz] = [
    at(1, 0, 1, 0),
    at(1, 0, 2, 1),
    at(1, 0, 4, 2),
    at(2, 1, 2, 1),
    at(2, 1, 4, 2),
    at(4, 2, 4, 2),
  ];
  const [txx, txy, txz, tyy, tyz, tzz] = [
    at(6, 0, 6, 0),
    at(6, 0, 5, 1),
    at(6, 0, 3, 2),
    at(5, 1, 5, 1),
    at(5, 1, 3, 2),
    at(3, 2, 3, 2),
  ];
  const [ayy, ayz, azz] = [at(3, 1, 3, 1), at(3, 1, 5, 2), at(5, 2, 5, 2)];
  const [bxx, bxz, bzz] = [at(3, 0, 3, 0), at(3, 0, 6, 2), at(6, 2, 6, 2)];
  const [cxx, cxy, cyy] = [at(5, 0, 5, 0), at(5, 0, 6, 1), at(6, 1, 6, 1)];
  const [sxy, sxz, syz] = [at(2, 0, 2, 0), at(4, 0, 4, 0), at(4, 1, 4, 1)];
  const [hx, hy, hz] = [at(7, 0, 7, 0), at(7, 1, 7, 1), at(7, 2, 7, 2)];

  const apply = (x: Float64Array, y: Float64Array): void => {
    y.fill(0);
    for (let run = 0; run < runs.length; run += RUN) {
      let n0 = 3 * runs[run]!;
      let n1 = 3 * runs[run + 1]!;
      let n2 = 3 * runs[run + 2]!;
      let n3 = 3 * runs[run + 3]!;
      const length = runs[run + 4]!;
      const first = runs[run + 5]!;
      let p = x[n0]! + x[n1]!,
        m = x[n0]! - x[n1]!,
        q = x[n2]! + x[n3]!,
        r = x[n2]! - x[n3]!;
      let lx0 = p + q,
        lx1 = m + r,
        lx2 = p - q,
        lx3 = m - r;
      p = x[n0 + 1]! + x[n1 + 1]!;
      m = x[n0 + 1]! - x[n1 + 1]!;
      q = x[n2 + 1]! + x[n3 + 1]!;
      r = x[n2 + 1]! - x[n3 + 1]!;
      let ly0 = p + q,
        ly1 = m + r,
        ly2 = p - q,
        ly3 = m - r;
      p = x[n0 + 2]! + x[n1 + 2]!;
      m = x[n0 + 2]! - x[n1 + 2]!;
      q = x[n2 + 2]! + x[n3 + 2]!;
      r = x[n2 + 2]! - x[n3 + 2]!;
      let lz0 = p + q,
        lz1 = m + r,
        lz2 = p - q,
        lz3 = m - r;
      let ox0 = 0,
        ox1 = 0,
        ox2 = 0,
        ox3 = 0,
        oy0 = 0,
        oy1 = 0,
        oy2 = 0,
        oy3 = 0,
        oz0 = 0,
        oz1 = 0,
        oz2 = 0,
        oz3 = 0;
      for (let brick = first; brick < first + length; brick++) {
        const s = shares[kind[brick]!]!;
        p = x[n0 + 3]! + x[n1 + 3]!;
        m = x[n0 + 3]! - x[n1 + 3]!;
        q = x[n2 + 3]! + x[n3 + 3]!;
        r = x[n2 + 3]! - x[n3 + 3]!;
        const rx0 = p + q,
          rx1 = m + r,
          rx2 = p - q,
          rx3 = m - r;
        p = x[n0 + 4]! + x[n1 + 4]!;
        m = x[n0 + 4]! - x[n1 + 4]!;
        q = x[n2 + 4]! + x[n3 + 4]!;
        r = x[n2 + 4]! - x[n3 + 4]!;
        const ry0 = p + q,
          ry1 = m + r,
          ry2 = p - q,
          ry3 = m - r;
        p = x[n0 + 5]! + x[n1 + 5]!;
        m = x[n0 + 5]! - x[n1 + 5]!;
        q = x[n2 + 5]! + x[n3 + 5]!;
        r = x[n2 + 5]! - x[n3 + 5]!;
        const rz0 = p + q,
          rz1 = m + r,
          rz2 = p - q,
          rz3 = m - r;
        // patterns: 1 along x, 2 along y, 4 along z
        const ux1 = lx0 - rx0,
          uy2 = ly1 + ry1,
          uz4 = lz2 + rz2;
        const fx1 = s * (nxx * ux1 + nxy * uy2 + nxz * uz4),
          fy2 = s * (nxy * ux1 + nyy * uy2 + nyz * uz4),
          fz4 = s * (nxz * ux1 + nyz * uy2 + nzz * uz4);
        const ux6 = lx3 + rx3,
          uy5 = ly2 - ry2,
          uz3 = lz1 - rz1;
        const fx6 = s * (txx * ux6 + txy * uy5 + txz * uz3),
          fy5 = s * (txy * ux6 + tyy * uy5 + tyz * uz3),
          fz3 = s * (txz * ux6 + tyz * uy5 + tzz * uz3);
        const uy3 = ly1 - ry1,
          uz5 = lz2 - rz2;
        const fy3 = s * (ayy * uy3 + ayz * uz5),
          fz5 = s * (ayz * uy3 + azz * uz5);
        const ux3 = lx1 - rx1,
          uz6 = lz3 + rz3;
        const fx3 = s * (bxx * ux3 + bxz * uz6),
          fz6 = s * (bxz * ux3 + bzz * uz6);
        const ux5 = lx2 - rx2,
          uy6 = ly3 + ry3;
        const fx5 = s * (cxx * ux5 + cxy * uy6),
          fy6 = s * (cxy * ux5 + cyy * uy6);
        const gxy = s * sxy * (lx1 + rx1 + ly0 - ry0),
          gxz = s * sxz * (lx2 + rx2 + lz0 - rz0),
          gyz = s * syz * (ly2 + ry2 + lz1 + rz1);
        const fx7 = s * hx * (lx3 - rx3),
          fy7 = s * hy * (ly3 - ry3),
          fz7 = s * hz * (lz3 - rz3);
        ox0 += fx1;
        ox1 += gxy + fx3;
        ox2 += gxz + fx5;
        ox3 += fx6 + fx7;
        oy0 += gxy;
        oy1 += fy2 + fy3;
        oy2 += gyz + fy5;
        oy3 += fy6 + fy7;
        oz0 += gxz;
        oz1 += gyz + fz3;
        oz2 += fz4 + fz5;
        oz3 += fz6 + fz7;
        p = ox0 + ox2;
        m = ox0 - ox2;
        q = ox1 + ox3;
        r = ox1 - ox3;
        y[n0]! += p + q;
        y[n1]! += p - q;
        y[n2]! += m + r;
        y[n3]! += m - r;
        p = oy0 + oy2;
        m = oy0 - oy2;
        q = oy1 + oy3;
        r = oy1 - oy3;
        y[n0 + 1]! += p + q;
        y[n1 + 1]! += p - q;
        y[n2 + 1]! += m + r;
        y[n3 + 1]! += m - r;
        p = oz0 + oz2;
        m = oz0 - oz2;
        q = oz1 + oz3;
        r = oz1 - oz3;
        y[n0 + 2]! += p + q;
        y[n1 + 2]! += p - q;
        y[n2 + 2]! += m + r;
        y[n3 + 2]! += m - r;
        ox0 = -fx1;
        ox1 = gxy - fx3;
        ox2 = gxz - fx5;
        ox3 = fx6 - fx7;
        oy0 = -gxy;
        oy1 = fy2 - fy3;
        oy2 = gyz - fy5;
        oy3 = fy6 - fy7;
        oz0 = -gxz;
        oz1 = gyz - fz3;
        oz2 = fz4 - fz5;
        oz3 = fz6 - fz7;
        lx0 = rx0;
        lx1 = rx1;
        lx2 = rx2;
        lx3 = rx3;
        ly0 = ry0;
        ly1 = ry1;
        ly2 = ry2;
        ly3 = ry3;
        lz0 = rz0;
        lz1 = rz1;
        lz2 = rz2;
        lz3 = rz3;
        n0 += 3;
        n1 += 3;
        n2 += 3;
        n3 += 3;
      }
      p = ox0 + ox2;
      m = ox0 - ox2;
      q = ox1 + ox3;
      r = ox1 - ox3;
      y[n0]! += p + q;
      y[n1]! += p - q;
      y[n2]! += m + r;
      y[n3]! += m - r;
      p = oy0 + oy2;
      m = oy0 - oy2;
      q = oy1 + oy3;
      r = oy1 - oy3;
      y[n0 + 1]! += p + q;
      y[n1 + 1]! += p - q;
      y[n2 + 1]! += m + r;
      y[n3 + 1]! += m - r;
      p = oz0 + oz2;
      m = oz0 - oz2;
      q = oz1 + oz3;
      r = oz1 - oz3;
      y[n0 + 2]! += p + q;
      y[n1 + 2]! += p - q;
      y[n2 + 2]! += m + r;
      y[n3 + 2]! += m - r;
    }
  };

  const diagonal = (): Float64Array => {
    const d = new Float64Array(3 * corner.length);
    const own = [k[0]!, k[DOFS + 1]!, k[2 * DOFS + 2]!] as const;
    for (let run = 0; run < runs.length; run += RUN)
      for (let step = 0; step < runs[run + 4]!; step++) {
        const s = shares[kind[runs[run + 5]! + step]!]!;
        for (let face = 0; face < 4; face++)
          for (let side = 0; side < 2; side++) {
            const node = 3 * (runs[run + face]! + step + side);
            d[node]! += s * own[0];
            d[node + 1]! += s * own[1];
            d[node + 2]! += s * own[2];
          }
      }
    return d;
  };
  return { apply, diagonal };
}

import type { Mesh } from '../meshFiles/mesh';
import type { Solid } from '../solid/bricks';
import type { Grid } from '../solid/voxelise';

/** Kinds of voxels in a part that is printed with walls and infill. */
export const [WALL, INFILL] = [1, 2] as const;

/** Voxels whose centre lies deeper under the surface than the walls are thick become infill. */
export function hollowed(
  solid: Solid,
  mesh: Mesh,
  { size: [nx, ny, nz], edgeMm, origin }: Grid,
  wallMm: number,
): Solid {
  const kinds = solid.map((one) => (one > 0 ? INFILL : 0));
  const { vertices, triangles } = mesh;
  const reach = wallMm + edgeMm * 1e-9;
  const squared = reach * reach;
  const range = (axis: 0 | 1 | 2, n: number, low: number, high: number) =>
    [
      Math.max(0, Math.ceil((low - reach - origin[axis]) / edgeMm - 0.5)),
      Math.min(n - 1, Math.floor((high + reach - origin[axis]) / edgeMm - 0.5)),
    ] as const;
  for (let at = 0; at < triangles.length; at += 3) {
    const [a, b, c] = [3 * triangles[at]!, 3 * triangles[at + 1]!, 3 * triangles[at + 2]!];
    const bounds = ([0, 1, 2] as const).map((axis) => {
      const [p, q, r] = [vertices[a + axis]!, vertices[b + axis]!, vertices[c + axis]!];
      return range(axis, [nx, ny, nz][axis]!, Math.min(p, q, r), Math.max(p, q, r));
    });
    const [[i0, i1], [j0, j1], [k0, k1]] = bounds as [
      readonly [number, number],
      readonly [number, number],
      readonly [number, number],
    ];
    for (let k = k0; k <= k1; k++)
      for (let j = j0; j <= j1; j++)
        for (let i = i0; i <= i1; i++) {
          const voxel = i + nx * (j + ny * k);
          if (kinds[voxel] !== INFILL) continue;
          if (
            squaredDistance(
              vertices,
              a,
              b,
              c,
              origin[0] + (i + 0.5) * edgeMm,
              origin[1] + (j + 0.5) * edgeMm,
              origin[2] + (k + 0.5) * edgeMm,
            ) <= squared
          )
            kinds[voxel] = WALL;
        }
  }
  return kinds;
}

/**
 * Squared distance from a place to a triangle.
 *
 * @see Ericson, Real-Time Collision Detection, 5.1.5
 */
function squaredDistance(
  v: Float64Array,
  a: number,
  b: number,
  c: number,
  x: number,
  y: number,
  z: number,
): number {
  const [abx, aby, abz] = [v[b]! - v[a]!, v[b + 1]! - v[a + 1]!, v[b + 2]! - v[a + 2]!];
  const [acx, acy, acz] = [v[c]! - v[a]!, v[c + 1]! - v[a + 1]!, v[c + 2]! - v[a + 2]!];
  const [apx, apy, apz] = [x - v[a]!, y - v[a + 1]!, z - v[a + 2]!];
  const away = (s: number, t: number): number => {
    const [dx, dy, dz] = [apx - s * abx - t * acx, apy - s * aby - t * acy, apz - s * abz - t * acz];
    return dx * dx + dy * dy + dz * dz;
  };
  const d1 = abx * apx + aby * apy + abz * apz;
  const d2 = acx * apx + acy * apy + acz * apz;
  if (d1 <= 0 && d2 <= 0) return away(0, 0);
  const [ab, ac, mixed] = [
    abx * abx + aby * aby + abz * abz,
    acx * acx + acy * acy + acz * acz,
    abx * acx + aby * acy + abz * acz,
  ];
  const [d3, d4] = [d1 - ab, d2 - mixed];
  if (d3 >= 0 && d4 <= d3) return away(1, 0);
  const vc = d1 * d4 - d3 * d2;
  if (vc <= 0 && d1 >= 0 && d3 <= 0) return away(d1 / (d1 - d3), 0);
  const [d5, d6] = [d1 - mixed, d2 - ac];
  if (d6 >= 0 && d5 <= d6) return away(0, 1);
  const vb = d5 * d2 - d1 * d6;
  if (vb <= 0 && d2 >= 0 && d6 <= 0) return away(0, d2 / (d2 - d6));
  const va = d3 * d6 - d5 * d4;
  if (va <= 0 && d4 - d3 >= 0 && d5 - d6 >= 0) {
    const t = (d4 - d3) / (d4 - d3 + (d5 - d6));
    return away(1 - t, t);
  }
  const whole = va + vb + vc;
  return whole === 0 ? away(0, 0) : away(vb / whole, vc / whole);
}

import type { Vec3 } from '../../base/vec3';
import { type Mesh, welded } from '../meshFiles/mesh';

/** Triangles of closed shapes, corner by corner: for parts that are made, and for tests. */
export type Corners = number[];

const quad = (a: Vec3, b: Vec3, c: Vec3, d: Vec3): Corners => [...a, ...b, ...c, ...a, ...c, ...d];

/** A box between two corners. */
export function boxCorners([x0, y0, z0]: Vec3, [x1, y1, z1]: Vec3): Corners {
  const p = (x: number, y: number, z: number): Vec3 => [x, y, z];
  return [
    ...quad(p(x0, y0, z0), p(x0, y1, z0), p(x1, y1, z0), p(x1, y0, z0)),
    ...quad(p(x0, y0, z1), p(x1, y0, z1), p(x1, y1, z1), p(x0, y1, z1)),
    ...quad(p(x0, y0, z0), p(x1, y0, z0), p(x1, y0, z1), p(x0, y0, z1)),
    ...quad(p(x1, y1, z0), p(x0, y1, z0), p(x0, y1, z1), p(x1, y1, z1)),
    ...quad(p(x1, y0, z0), p(x1, y1, z0), p(x1, y1, z1), p(x1, y0, z1)),
    ...quad(p(x0, y1, z0), p(x0, y0, z0), p(x0, y0, z1), p(x0, y1, z1)),
  ];
}

/** A surface over two angles that both close, as `at` places them. */
export function wrapped(around: number, across: number, at: (u: number, v: number) => Vec3): Corners {
  const place = (i: number, j: number) =>
    at((2 * Math.PI * (i % around)) / around, (2 * Math.PI * (j % across)) / across);
  return Array.from({ length: around }, (_, i) =>
    Array.from({ length: across }, (__, j) =>
      quad(place(i, j), place(i + 1, j), place(i + 1, j + 1), place(i, j + 1)),
    ).flat(),
  ).flat();
}

/** A ring of radius `ring` with a round section of radius `tube`, about z. */
export const torusCorners = (ring: number, tube: number, around: number, across: number): Corners =>
  wrapped(around, across, (u, v) => [
    (ring + tube * Math.cos(v)) * Math.cos(u),
    (ring + tube * Math.cos(v)) * Math.sin(u),
    tube * Math.sin(v),
  ]);

/** A tube about x from 0 to its length, `around` flat sides. */
export function ringCorners(outer: number, inner: number, length: number, around: number): Corners {
  const at = (r: number, i: number, x: number): Vec3 => [
    x,
    r * Math.cos((2 * Math.PI * (i % around)) / around),
    r * Math.sin((2 * Math.PI * (i % around)) / around),
  ];
  return Array.from({ length: around }, (_, i) => [
    ...quad(at(outer, i, 0), at(outer, i + 1, 0), at(outer, i + 1, length), at(outer, i, length)),
    ...quad(at(inner, i, 0), at(inner, i, length), at(inner, i + 1, length), at(inner, i + 1, 0)),
    ...quad(at(inner, i, length), at(outer, i, length), at(outer, i + 1, length), at(inner, i + 1, length)),
    ...quad(at(inner, i, 0), at(inner, i + 1, 0), at(outer, i + 1, 0), at(outer, i, 0)),
  ]).flat();
}

/** A ball of rings and wedges. */
export function sphereCorners(radius: number, rings: number, wedges: number): Corners {
  const at = (i: number, j: number): Vec3 => {
    const [up, round] = [(Math.PI * i) / rings, (2 * Math.PI * (j % wedges)) / wedges];
    return i === 0
      ? [0, 0, radius]
      : i === rings
        ? [0, 0, -radius]
        : [
            radius * Math.sin(up) * Math.cos(round),
            radius * Math.sin(up) * Math.sin(round),
            radius * Math.cos(up),
          ];
  };
  const triangle = (a: Vec3, b: Vec3, c: Vec3): Corners => [...a, ...b, ...c];
  return Array.from({ length: rings }, (_, i) =>
    Array.from({ length: wedges }, (__, j) => [
      ...(i === rings - 1 ? [] : triangle(at(i, j), at(i + 1, j), at(i + 1, j + 1))),
      ...(i === 0 ? [] : triangle(at(i, j), at(i + 1, j + 1), at(i, j + 1))),
    ]).flat(),
  ).flat();
}

export const meshOf = (corners: Corners): Mesh => welded(Float64Array.from(corners), 'mesh');

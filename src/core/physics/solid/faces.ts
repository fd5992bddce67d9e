import { cross, lengthOf, scale, subtract, unit, type Vec3 } from '../../base/vec3';
import type { Mesh } from '../meshFiles/mesh';

/** A face that a hand would point at: flat, or a bent wall of many narrow triangles. */
export interface MeshFace {
  areaMm2: number;
  /** Outwards; of a bent wall its mean. */
  normal: Vec3;
  centre: Vec3;
  min: Vec3;
  max: Vec3;
}

export interface MeshFaces {
  /** The largest first. */
  faces: MeshFace[];
  /** Number of the face that each triangle belongs to. */
  faceOf: Int32Array;
}

const FLAT = Math.cos((0.6 * Math.PI) / 180);
const BENT = Math.cos((25 * Math.PI) / 180);
/** Share of the surface under which a triangle may belong to a bent wall. */
const NARROW = 0.02;

/** Triangles gathered over shared edges into faces. */
export function facesOf({ vertices, triangles }: Mesh): MeshFaces {
  const count = triangles.length / 3;
  const point = (index: number): Vec3 => [
    vertices[3 * index]!,
    vertices[3 * index + 1]!,
    vertices[3 * index + 2]!,
  ];
  const [normals, areas] = [new Float64Array(3 * count), new Float64Array(count)];
  let whole = 0;
  for (let face = 0; face < count; face++) {
    const a = point(triangles[3 * face]!);
    const n = cross(
      subtract(point(triangles[3 * face + 1]!), a),
      subtract(point(triangles[3 * face + 2]!), a),
    );
    const twice = lengthOf(n);
    areas[face] = twice / 2;
    whole += twice / 2;
    if (twice > 0) normals.set(scale(n, 1 / twice), 3 * face);
  }
  const parent = Int32Array.from({ length: count }, (_, at) => at);
  const root = (of: number): number => {
    let at = of;
    while (parent[at] !== at) at = parent[at] = parent[parent[at]!]!;
    return at;
  };
  const known = new Map<number, number>();
  const nodes = vertices.length / 3;
  for (let at = 0; at < triangles.length; at++) {
    const [a, b] = [triangles[at]!, triangles[at % 3 === 2 ? at - 2 : at + 1]!];
    const key = Math.min(a, b) * nodes + Math.max(a, b);
    const other = known.get(key);
    const face = Math.floor(at / 3);
    if (other === undefined) {
      known.set(key, face);
      continue;
    }
    const cosine =
      normals[3 * face]! * normals[3 * other]! +
      normals[3 * face + 1]! * normals[3 * other + 1]! +
      normals[3 * face + 2]! * normals[3 * other + 2]!;
    const narrow = areas[face]! < NARROW * whole && areas[other]! < NARROW * whole;
    if (cosine > FLAT || (cosine > BENT && narrow)) parent[root(face)] = root(other);
  }
  return gathered(count, root, areas, normals, point, triangles);
}

function gathered(
  count: number,
  root: (of: number) => number,
  areas: Float64Array,
  normals: Float64Array,
  point: (index: number) => Vec3,
  triangles: Uint32Array,
): MeshFaces {
  const groups = new Map<
    number,
    {
      area: number;
      normal: [number, number, number];
      centre: [number, number, number];
      min: [number, number, number];
      max: [number, number, number];
      triangles: number[];
    }
  >();
  for (let face = 0; face < count; face++) {
    const at = root(face);
    const group = groups.get(at) ?? {
      area: 0,
      normal: [0, 0, 0],
      centre: [0, 0, 0],
      min: [Infinity, Infinity, Infinity],
      max: [-Infinity, -Infinity, -Infinity],
      triangles: [],
    };
    groups.set(at, group);
    group.area += areas[face]!;
    group.triangles.push(face);
    for (let corner = 0; corner < 3; corner++) {
      const p = point(triangles[3 * face + corner]!);
      for (let axis = 0; axis < 3; axis++) {
        group.min[axis] = Math.min(group.min[axis]!, p[axis]!);
        group.max[axis] = Math.max(group.max[axis]!, p[axis]!);
        group.centre[axis]! += (areas[face]! * p[axis]!) / 3;
      }
    }
    for (let axis = 0; axis < 3; axis++) group.normal[axis]! += areas[face]! * normals[3 * face + axis]!;
  }
  const sorted = [...groups.values()].sort((a, b) => b.area - a.area);
  const faceOf = new Int32Array(count);
  sorted.forEach((group, index) => {
    for (const face of group.triangles) faceOf[face] = index;
  });
  return {
    faceOf,
    faces: sorted.map(({ area, normal, centre, min, max }) => ({
      areaMm2: area,
      normal: lengthOf(normal) > 1e-9 * area ? unit(normal) : ([0, 0, 0] as const),
      centre: area > 0 ? scale(centre, 1 / area) : (min as unknown as Vec3),
      min,
      max,
    })),
  };
}

/** Which way a face looks, in a word. */
export function sideOf({ normal }: Pick<MeshFace, 'normal'>): string {
  const axis = normal.findIndex((one) => Math.abs(one) > 0.99);
  if (axis < 0) return lengthOf(normal) === 0 ? 'all round' : 'slanted';
  return `${normal[axis]! > 0 ? '+' : '−'}${'xyz'[axis]}`;
}

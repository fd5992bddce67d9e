import { type Vec3, unit } from '../../base/vec3';
import type { Mesh } from '../meshFiles/mesh';
import type { MeshText } from '../meshFiles/readMesh';
import { type Finding, finding } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.solid.open': Record<never, never>;
  }
}

export interface MeasureInput {
  mesh: MeshText;
  buildDirection?: Vec3;
  overhangDeg?: number;
  /** g/cm³. */
  densityGPerCm3?: number;
}

export interface MeasureResult {
  /** Number of triangles. */
  triangles: number;
  watertight: boolean;
  /** Edges without a face on their other side. */
  openEdges: number;
  /** Number of closed surfaces. */
  shells: number;
  volumeMm3: number;
  areaMm2: number;
  boundsMm: { min: Vec3; max: Vec3 };
  centroidMm: Vec3;
  inertiaAboutCentroidGMm2: { xx: number; yy: number; zz: number; xy: number; yz: number; zx: number };
  massG: number;
  heightMm: number;
  overhangAreaMm2: number;
  bedContactMm2: number;
  notes: Finding[];
}

export const USUAL_DENSITY = 1.24;
const USUAL_OVERHANG_DEG = 45;
const G_PER_MM3 = 1e-3;
/** Share of the height within which a face lies on the bed. */
const BED_SHARE = 1e-3;

/** The same of a mesh that is read already. */
export function measureMesh(
  mesh: Mesh,
  {
    buildDirection = [0, 0, 1],
    overhangDeg = USUAL_OVERHANG_DEG,
    densityGPerCm3 = USUAL_DENSITY,
  }: Omit<MeasureInput, 'mesh'>,
): MeasureResult {
  const { openEdges, watertight, shells } = edgesOf(mesh);
  const edges = { watertight, openEdges, shells };
  const solid = solidOf(mesh);
  const bed = onBed(mesh, unit(buildDirection), overhangDeg);
  const density = densityGPerCm3 * G_PER_MM3;
  const { xx, yy, zz, xy, yz, zx } = solid.second;
  return {
    triangles: mesh.triangles.length / 3,
    ...edges,
    volumeMm3: solid.volume,
    areaMm2: solid.area,
    boundsMm: boundsOf(mesh),
    centroidMm: solid.centroid,
    inertiaAboutCentroidGMm2: {
      xx: density * (yy + zz),
      yy: density * (xx + zz),
      zz: density * (xx + yy),
      xy: density * xy,
      yz: density * yz,
      zx: density * zx,
    },
    massG: density * solid.volume,
    ...bed,
    notes: edges.watertight ? [] : [finding('note.solid.open', {})],
  };
}

export function boundsOf({ vertices }: Mesh): { min: Vec3; max: Vec3 } {
  const [min, max] = [
    [Infinity, Infinity, Infinity],
    [-Infinity, -Infinity, -Infinity],
  ];
  for (let at = 0; at < vertices.length; at += 3) {
    for (let axis = 0; axis < 3; axis++) {
      const value = vertices[at + axis]!;
      if (value < min[axis]!) min[axis] = value;
      if (value > max[axis]!) max[axis] = value;
    }
  }
  return { min: min as unknown as Vec3, max: max as unknown as Vec3 };
}

/** Edges met once, twice in opposite ways, or otherwise; those not passed as often one way as the other; shells joined through edges. */
export function edgesOf({ triangles }: Mesh): {
  watertight: boolean;
  openEdges: number;
  shells: number;
  unpaired: number;
} {
  let size = 1;
  while (size < 2 * triangles.length) size *= 2;
  const table = new Int32Array(size).fill(-1);
  const [low, high, first] = [
    new Uint32Array(triangles.length),
    new Uint32Array(triangles.length),
    new Uint32Array(triangles.length),
  ];
  const [count, turns] = [new Int32Array(triangles.length), new Int32Array(triangles.length)];
  const parent = new Int32Array(triangles.length / 3).map((_, index) => index);
  const root = (of: number): number => {
    let at = of;
    while (parent[at] !== at) at = parent[at] = parent[parent[at]!]!;
    return at;
  };
  let known = 0;
  for (let at = 0; at < triangles.length; at++) {
    const triangle = Math.floor(at / 3);
    const [a, b] = [triangles[at]!, triangles[at % 3 === 2 ? at - 2 : at + 1]!];
    const [p, q] = a < b ? [a, b] : [b, a];
    let slot = (Math.imul(p, 0x9e3779b1) ^ Math.imul(q, 0x85ebca6b)) & (size - 1);
    let edge = table[slot]!;
    while (edge >= 0 && (low[edge] !== p || high[edge] !== q)) {
      slot = (slot + 1) & (size - 1);
      edge = table[slot]!;
    }
    if (edge < 0) {
      edge = known++;
      table[slot] = edge;
      low[edge] = p;
      high[edge] = q;
      first[edge] = triangle;
    } else parent[root(triangle)] = root(first[edge]!);
    count[edge]!++;
    turns[edge]! += a < b ? 1 : -1;
  }
  let [openEdges, bad, unpaired, shells] = [0, 0, 0, 0];
  for (let edge = 0; edge < known; edge++) {
    if (count[edge] === 1) openEdges++;
    if (count[edge] !== 2 || turns[edge] !== 0) bad++;
    if (turns[edge] !== 0) unpaired++;
  }
  for (let index = 0; index < parent.length; index++) if (parent[index] === index) shells++;
  return { watertight: bad === 0, openEdges, shells, unpaired };
}

interface Solid {
  /** Absolute. */
  volume: number;
  /** Negative where the faces look inwards. */
  signed: number;
  area: number;
  centroid: Vec3;
  /** ∫x² dV and so on about the centroid. */
  second: { xx: number; yy: number; zz: number; xy: number; yz: number; zx: number };
}

/** By tetrahedra from a corner of the bounds to every triangle. */
export function solidOf(mesh: Mesh): Solid {
  const { vertices, triangles } = mesh;
  const { min, max } = boundsOf(mesh);
  const o: Vec3 = [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2, (min[2] + max[2]) / 2];
  let [six, area] = [0, 0];
  const first = [0, 0, 0];
  const second = { xx: 0, yy: 0, zz: 0, xy: 0, yz: 0, zx: 0 };
  for (let at = 0; at < triangles.length; at += 3) {
    const [i, j, k] = [3 * triangles[at]!, 3 * triangles[at + 1]!, 3 * triangles[at + 2]!];
    const [ax, ay, az] = [vertices[i]! - o[0], vertices[i + 1]! - o[1], vertices[i + 2]! - o[2]];
    const [bx, by, bz] = [vertices[j]! - o[0], vertices[j + 1]! - o[1], vertices[j + 2]! - o[2]];
    const [cx, cy, cz] = [vertices[k]! - o[0], vertices[k + 1]! - o[1], vertices[k + 2]! - o[2]];
    const [nx, ny, nz] = [
      (by - ay) * (cz - az) - (bz - az) * (cy - ay),
      (bz - az) * (cx - ax) - (bx - ax) * (cz - az),
      (bx - ax) * (cy - ay) - (by - ay) * (cx - ax),
    ];
    area += Math.sqrt(nx * nx + ny * ny + nz * nz) / 2;
    const d = ax * (by * cz - bz * cy) + ay * (bz * cx - bx * cz) + az * (bx * cy - by * cx);
    six += d;
    const [sx, sy, sz] = [ax + bx + cx, ay + by + cy, az + bz + cz];
    first[0]! += d * sx;
    first[1]! += d * sy;
    first[2]! += d * sz;
    second.xx += d * (sx * sx + ax * ax + bx * bx + cx * cx);
    second.yy += d * (sy * sy + ay * ay + by * by + cy * cy);
    second.zz += d * (sz * sz + az * az + bz * bz + cz * cz);
    second.xy += d * (sx * sy + ax * ay + bx * by + cx * cy);
    second.yz += d * (sy * sz + ay * az + by * bz + cy * cz);
    second.zx += d * (sz * sx + az * ax + bz * bx + cz * cx);
  }
  const volume = six / 6;
  if (volume === 0)
    return { volume: 0, signed: 0, area, centroid: o, second: { xx: 0, yy: 0, zz: 0, xy: 0, yz: 0, zx: 0 } };
  const c = first.map((value) => value / 24 / volume) as [number, number, number];
  const sign = Math.sign(volume);
  const about = (value: number, p: number, q: number) => sign * (value / 120 - volume * p * q);
  return {
    volume: Math.abs(volume),
    signed: volume,
    area,
    centroid: [c[0] + o[0], c[1] + o[1], c[2] + o[2]],
    second: {
      xx: about(second.xx, c[0], c[0]),
      yy: about(second.yy, c[1], c[1]),
      zz: about(second.zz, c[2], c[2]),
      xy: about(second.xy, c[0], c[1]),
      yz: about(second.yz, c[1], c[2]),
      zx: about(second.zx, c[2], c[0]),
    },
  };
}

/** Height over the bed, what overhangs and what lies on it. */
export function onBed(
  { vertices, triangles }: Mesh,
  b: Vec3,
  overhangDeg: number,
): { heightMm: number; overhangAreaMm2: number; bedContactMm2: number } {
  const heights = new Float64Array(vertices.length / 3);
  let [low, high] = [Infinity, -Infinity];
  for (let at = 0; at < heights.length; at++) {
    const h = vertices[3 * at]! * b[0] + vertices[3 * at + 1]! * b[1] + vertices[3 * at + 2]! * b[2];
    heights[at] = h;
    if (h < low) low = h;
    if (h > high) high = h;
  }
  const bed = low + BED_SHARE * (high - low);
  const steep = Math.cos((overhangDeg * Math.PI) / 180);
  let [overhang, contact] = [0, 0];
  for (let at = 0; at < triangles.length; at += 3) {
    const [p, q, r] = [triangles[at]!, triangles[at + 1]!, triangles[at + 2]!];
    const [i, j, k] = [3 * p, 3 * q, 3 * r];
    const [ux, uy, uz] = [
      vertices[j]! - vertices[i]!,
      vertices[j + 1]! - vertices[i + 1]!,
      vertices[j + 2]! - vertices[i + 2]!,
    ];
    const [vx, vy, vz] = [
      vertices[k]! - vertices[i]!,
      vertices[k + 1]! - vertices[i + 1]!,
      vertices[k + 2]! - vertices[i + 2]!,
    ];
    const [nx, ny, nz] = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
    const twice = Math.sqrt(nx * nx + ny * ny + nz * nz);
    if (twice === 0) continue;
    const down = -(nx * b[0] + ny * b[1] + nz * b[2]) / twice;
    if (down <= 0) continue;
    if (heights[p]! <= bed && heights[q]! <= bed && heights[r]! <= bed) contact += twice / 2;
    else if (down > steep) overhang += twice / 2;
  }
  return { heightMm: high - low, overhangAreaMm2: overhang, bedContactMm2: contact };
}

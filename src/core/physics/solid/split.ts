import { type Measure, measure } from '../../base/measure';
import type { CrossSection, ManifoldToplevel, Manifold as Solid } from 'manifold-3d';
import { refusal } from '../../base/errors';
import type { Vec3 } from '../../base/vec3';
import type { Mesh } from '../meshFiles/mesh';
import { type Finding, finding } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.split.narrow': { pin: Measure };
    'note.split.room': { room: number; pins: number };
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'split.place': { from: Measure; to: Measure };
    'split.open': Record<never, never>;
  }
}

export interface SplitHow {
  /** Along which the cut is made, and where, in the mesh's own mm. */
  axis: 0 | 1 | 2;
  atMm: number;
  /** Holes for pins across the cut; none where the diameter is not given. */
  pinMm?: number;
  /** Of each hole into each piece. */
  pinDepthMm?: number;
  /** Number of pins. */
  pins?: number;
}

export interface SplitResult {
  /** The side with the lower coordinates first. */
  pieces: [Mesh, Mesh];
  /** Centres of the holes on the cut. */
  pinsMm: Vec3[];
  notes: Finding[];
}

const [USUAL_PINS, USUAL_DEPTH, SIDES] = [2, 8, 32];
/** Plastic that must be left around a hole, diameters of the pin. */
const RIM = 0.5;
/** Places that are tried on the cut, each way. */
const GRID = 48;
/** Of a millimetre: what is thinner is no piece. */
const THINNEST = 1e-6;

/**
 * A mesh cut at a plane by exact booleans, with holes for pins that hold the halves in line.
 *
 * @param kit the library of solids, once it is loaded
 * @returns two watertight meshes in mm, in the place of the whole
 * @throws CalcError at `mesh` where it is no solid, at `atMm` where the plane misses it
 */
export function splitMesh(
  kit: ManifoldToplevel,
  mesh: Mesh,
  { axis, atMm, pinMm, pinDepthMm = USUAL_DEPTH, pins = USUAL_PINS }: SplitHow,
): SplitResult {
  const solid = solidOf(kit, mesh);
  const normal: Vec3 = [axis === 0 ? 1 : 0, axis === 1 ? 1 : 0, axis === 2 ? 1 : 0];
  const { min, max } = solid.boundingBox();
  if (!(atMm > min[axis] + THINNEST && atMm < max[axis] - THINNEST))
    throw refusal('atMm', 'split.place', {
      from: measure(min[axis], 'lengthMm', 4),
      to: measure(max[axis], 'lengthMm', 4),
    });
  const [above, below] = solid.splitByPlane([...normal], atMm);
  const notes: Finding[] = [];
  const centres = pinMm ? pinPlaces(kit, solid, axis, atMm, pinMm, pins) : [];
  if (pinMm && centres.length < pins)
    notes.push(
      centres.length === 0
        ? finding('note.split.narrow', { pin: measure(pinMm, 'fitMm') })
        : finding('note.split.room', { room: centres.length, pins }),
    );
  const drilled = (piece: Solid) =>
    centres.reduce((left, centre) => left.subtract(hole(kit, axis, centre, pinMm!, pinDepthMm)), piece);
  return { pieces: [meshFrom(drilled(below)), meshFrom(drilled(above))], pinsMm: centres, notes };
}

function solidOf({ Manifold, Mesh: Given }: ManifoldToplevel, { vertices, triangles }: Mesh): Solid {
  const given = new Given({
    numProp: 3,
    vertProperties: Float32Array.from(vertices),
    triVerts: Uint32Array.from(triangles),
  });
  given.merge();
  try {
    return new Manifold(given);
  } catch {
    throw refusal('mesh', 'split.open');
  }
}

function meshFrom(solid: Solid): Mesh {
  const { vertProperties, numProp, triVerts } = solid.getMesh();
  const vertices = new Float64Array((vertProperties.length / numProp) * 3);
  for (let at = 0; at < vertices.length / 3; at++)
    for (let axis = 0; axis < 3; axis++) vertices[3 * at + axis] = vertProperties[numProp * at + axis]!;
  return { vertices, triangles: Uint32Array.from(triVerts) };
}

/** Turns of the library's z onto the axis: a cylinder and a cut lie along z there. */
const TURN: readonly [Vec3, Vec3, Vec3] = [
  [0, 90, 0],
  [-90, 0, 0],
  [0, 0, 0],
];
const BACK: readonly [Vec3, Vec3, Vec3] = [
  [0, -90, 0],
  [90, 0, 0],
  [0, 0, 0],
];

function hole(
  { Manifold }: ManifoldToplevel,
  axis: 0 | 1 | 2,
  centre: Vec3,
  across: number,
  depth: number,
): Solid {
  return Manifold.cylinder(2 * depth, across / 2, across / 2, SIDES, true)
    .rotate([...TURN[axis]])
    .translate([...centre]);
}

/** The places on the cut with the most plastic around them, as far apart as they go. */
function pinPlaces(
  kit: ManifoldToplevel,
  solid: Solid,
  axis: 0 | 1 | 2,
  atMm: number,
  across: number,
  wanted: number,
): Vec3[] {
  const turned = solid.rotate([...BACK[axis]]);
  const room: CrossSection = turned.slice(atMm).offset(-(0.5 + RIM) * across, 'Round');
  const loops = room.toPolygons();
  if (loops.length === 0) return [];
  const { min, max } = room.bounds();
  const free: [number, number][] = [];
  for (let i = 0; i <= GRID; i++)
    for (let j = 0; j <= GRID; j++) {
      const [x, y] = [min[0] + ((max[0] - min[0]) * i) / GRID, min[1] + ((max[1] - min[1]) * j) / GRID];
      if (inside(loops, x, y)) free.push([x, y]);
    }
  if (free.length === 0) return [];
  const mean = free.reduce((sum, [x, y]) => [sum[0] + x / free.length, sum[1] + y / free.length], [0, 0]);
  const far = (from: readonly (readonly [number, number])[]) =>
    free.reduce((best, one) => (nearest(from, one) > nearest(from, best) ? one : best));
  const chosen: [number, number][] = [far([[mean[0]!, mean[1]!]])];
  while (chosen.length < wanted) {
    const next = far(chosen);
    if (nearest(chosen, next) < 2 * across) break;
    chosen.push(next);
  }
  return chosen.map(([x, y]) => placeOn(axis, atMm, x, y));
}

/** From the plane of the turned cut back to the mesh. */
function placeOn(axis: 0 | 1 | 2, atMm: number, x: number, y: number): Vec3 {
  if (axis === 0) return [atMm, y, -x];
  return axis === 1 ? [x, atMm, -y] : [x, y, atMm];
}

const nearest = (from: readonly (readonly [number, number])[], [x, y]: readonly [number, number]) =>
  Math.min(...from.map(([px, py]) => Math.hypot(px - x, py - y)));

/** By how often a ray crosses the loops, holes among them. */
function inside(loops: readonly (readonly (readonly [number, number])[])[], x: number, y: number): boolean {
  let odd = false;
  for (const loop of loops)
    for (let at = 0; at < loop.length; at++) {
      const [[ax, ay], [bx, by]] = [loop[at]!, loop[(at + 1) % loop.length]!];
      if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) odd = !odd;
    }
  return odd;
}

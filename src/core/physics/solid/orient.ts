import { allowableMpa } from '../strength/allowable';
import { plain } from '../../base/units/plain';
import { cross, dot, lengthOf, subtract, unit, type Vec3 } from '../../base/vec3';
import { boundsOf, onBed } from './measure';
import type { Mesh } from '../meshFiles/mesh';
import { readMesh } from '../meshFiles/readMesh';
import { axisOf, NOT_LOADED, sectionsOf, type SectionsHow, type SectionsInput } from './sections';

export interface OrientInput extends Partial<Omit<SectionsInput, 'mesh' | 'stations' | 'buildDirection'>> {
  mesh: SectionsInput['mesh'];
  overhangDeg?: number;
  buildDirection?: Vec3;
  densityGPerCm3?: number;
}

export interface Orientation {
  direction: Vec3;
  overhangAreaMm2: number;
  heightMm: number;
  bedContactMm2: number;
  weakestMargin?: number;
  why: string;
}

const USUAL_OVERHANG_DEG = 45;
/** Share of the whole surface from which a flat face counts as large. */
const LARGE_FACE = 0.03;
const SAME_WAY = 0.9995;
const NEAR = 1e-9;

/**
 * Ways up on the bed, the strongest first where a load is given, then the least support, then the lowest.
 *
 * @returns areas in mm², heights in mm
 * @throws CalcError at the mesh's field where it is broken
 */
export function meshOrient({ mesh, ...how }: OrientInput): { ranked: Orientation[] } {
  return { ranked: orientationsOf(readMesh(mesh), how) };
}

export type OrientHow = Omit<OrientInput, 'mesh'> & Pick<SectionsHow, 'holdAtMm'>;

export function orientationsOf(mesh: Mesh, how: OrientHow): Orientation[] {
  const { overhangDeg = USUAL_OVERHANG_DEG, load, material } = how;
  const marginAt = load && material ? marginBy(mesh, { ...how, load, material }) : undefined;
  const found = directionsFor(mesh).map((direction): Omit<Orientation, 'why'> => ({
    direction,
    ...onBed(mesh, direction, overhangDeg),
    ...(marginAt ? { weakestMargin: marginAt(direction) } : {}),
  }));
  found.sort(
    (a, b) =>
      differs(b.weakestMargin, a.weakestMargin) ||
      differs(a.overhangAreaMm2, b.overhangAreaMm2) ||
      differs(a.heightMm, b.heightMm),
  );
  return found.map((one, index) => ({
    ...one,
    why: index === 0 ? best(one, found, axisFor(mesh, how.axis)) : against(one, found[0]!),
  }));
}

/** 0 where two figures are as good as the same. */
function differs(a = 0, b = 0): number {
  return Math.abs(a - b) <= NEAR * Math.max(1, Math.abs(a), Math.abs(b)) ? 0 : a - b;
}

const axisFor = (mesh: Mesh, axis: SectionsInput['axis'] | undefined): Vec3 =>
  axis === undefined ? longestSide(mesh) : axisOf(axis);

function longestSide(mesh: Mesh): Vec3 {
  const { min, max } = boundsOf(mesh);
  const size = subtract(max, min);
  const most = Math.max(...size);
  return size[0] === most ? [1, 0, 0] : size[1] === most ? [0, 1, 0] : [0, 0, 1];
}

/** Stresses do not turn with the layers, only what they may reach. */
function marginBy(
  mesh: Mesh,
  how: OrientHow & Pick<SectionsInput, 'load' | 'material'>,
): (direction: Vec3) => number {
  const axis = axisFor(mesh, how.axis);
  const { series } = sectionsOf(mesh, {
    axis,
    load: how.load,
    material: how.material,
    ...(how.heldEnd ? { heldEnd: how.heldEnd } : {}),
    ...(how.holdAtMm === undefined ? {} : { holdAtMm: how.holdAtMm }),
  });
  const worst = Math.max(...series.stressMpa.map(Math.abs));
  const state = {
    ...(how.fill === undefined ? {} : { fill: how.fill }),
    ...(how.temperatureC === undefined ? {} : { temperatureC: how.temperatureC }),
  };
  return (direction) =>
    worst === 0
      ? NOT_LOADED
      : Math.min(
          NOT_LOADED,
          allowableMpa(how.material, Math.acos(Math.min(1, Math.abs(dot(axis, direction)))), state) / worst,
        );
}

/** The 26 ways of a cube's faces, edges and corners, and those that put a large flat face on the bed. */
function directionsFor(mesh: Mesh): Vec3[] {
  const steps = [-1, 0, 1];
  const all: Vec3[] = steps
    .flatMap((x) => steps.flatMap((y) => steps.map((z): Vec3 => [x, y, z])))
    .filter((v) => lengthOf(v) > 0)
    .map(unit);
  for (const normal of largeFaces(mesh)) {
    const down: Vec3 = [-normal[0] + 0, -normal[1] + 0, -normal[2] + 0];
    if (!all.some((one) => dot(one, down) > SAME_WAY)) all.push(down);
  }
  return all;
}

function largeFaces({ vertices, triangles }: Mesh): Vec3[] {
  const groups = new Map<string, { sum: [number, number, number]; area: number }>();
  let whole = 0;
  const point = (index: number): Vec3 => [
    vertices[3 * index]!,
    vertices[3 * index + 1]!,
    vertices[3 * index + 2]!,
  ];
  for (let at = 0; at < triangles.length; at += 3) {
    const p = point(triangles[at]!);
    const n = cross(subtract(point(triangles[at + 1]!), p), subtract(point(triangles[at + 2]!), p));
    const area = lengthOf(n) / 2;
    if (area === 0) continue;
    whole += area;
    const way = unit(n);
    const key = way.map((value) => Math.round(100 * value) + 0).join();
    const group = groups.get(key) ?? { sum: [0, 0, 0], area: 0 };
    group.area += area;
    for (let axis = 0; axis < 3; axis++) group.sum[axis]! += n[axis]!;
    groups.set(key, group);
  }
  return [...groups.values()]
    .filter(({ area }) => area >= LARGE_FACE * whole)
    .sort((a, b) => b.area - a.area)
    .map(({ sum }) => unit(sum));
}

const LIES_ALONG = 0.35;
const STANDS = 0.94;

function best(one: Omit<Orientation, 'why'>, all: readonly Omit<Orientation, 'why'>[], axis: Vec3): string {
  const along = Math.abs(dot(axis, one.direction));
  const layers =
    along < LIES_ALONG
      ? 'Lays the layers along the part'
      : along > STANDS
        ? 'Stands the part up: its layers lie across it'
        : 'Leans the layers across the part';
  const least = Math.min(...all.map(({ overhangAreaMm2 }) => overhangAreaMm2));
  const more =
    least > 0 ? (100 * (one.overhangAreaMm2 - least)) / least : one.overhangAreaMm2 > 0 ? Infinity : 0;
  const support =
    one.overhangAreaMm2 === 0
      ? 'no support'
      : more < 1
        ? 'the least support'
        : Number.isFinite(more)
          ? `${plain(more, 2)} % more support than the least`
          : `${plain(one.overhangAreaMm2)} mm² to support where another way needs none`;
  return `${layers}; ${support}${one.bedContactMm2 > 0 ? `, ${plain(one.bedContactMm2)} mm² on the bed` : ', nothing flat on the bed'}.`;
}

function against(one: Omit<Orientation, 'why'>, first: Omit<Orientation, 'why'>): string {
  if (one.weakestMargin !== undefined && differs(one.weakestMargin, first.weakestMargin) !== 0)
    return `Weaker: ${plain((100 * one.weakestMargin) / first.weakestMargin!, 3)} % of the best margin.`;
  if (differs(one.overhangAreaMm2, first.overhangAreaMm2) !== 0)
    return `${plain(one.overhangAreaMm2 - first.overhangAreaMm2)} mm² more to support.`;
  return differs(one.heightMm, first.heightMm) === 0
    ? 'As good.'
    : `${plain(one.heightMm - first.heightMm)} mm higher.`;
}

import { allowableMpa } from '../strength/allowable';
import { type Finding, finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';
import { cross, dot, lengthOf, subtract, unit, type Vec3 } from '../../base/vec3';
import { boundsOf, onBed } from './measure';
import type { Mesh } from '../meshFiles/mesh';
import { readMesh } from '../meshFiles/readMesh';
import { axisOf, NOT_LOADED, sectionsOf } from './sections';
import type { SectionsHow, SectionsInput } from './sectionsDefinition';

declare module '../../base/finding' {
  interface FindingFacts {
    'orient.best': {
      layers: 'along' | 'across' | 'leaning';
      support: 'none' | 'least' | { more: Measure } | { whereNoneIsNeeded: Measure };
      onBed?: Measure;
    };
    'orient.weaker': { share: Measure };
    'orient.support': { more: Measure };
    'orient.higher': { by: Measure };
    'orient.asGood': Record<never, never>;
  }
}

export interface OrientInput extends Partial<Omit<SectionsInput, 'mesh' | 'stations' | 'buildDirection'>> {
  mesh: SectionsInput['mesh'];
  overhangDeg?: number;
  buildDirection?: Vec3;
  /** g/cm³. */
  densityGPerCm3?: number;
}

export interface Orientation {
  direction: Vec3;
  overhangAreaMm2: number;
  heightMm: number;
  bedContactMm2: number;
  /** What it bears over what it has to. */
  weakestMargin?: number;
  /** Why it is the best, or what it has against it. */
  why: Finding;
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

/** Less support than this over the least is the least, share. */
const LEAST_MORE = 0.01;
const LIES_ALONG = 0.35;
const STANDS = 0.94;

function best(one: Omit<Orientation, 'why'>, all: readonly Omit<Orientation, 'why'>[], axis: Vec3): Finding {
  const along = Math.abs(dot(axis, one.direction));
  const least = Math.min(...all.map(({ overhangAreaMm2 }) => overhangAreaMm2));
  const more = least > 0 ? (one.overhangAreaMm2 - least) / least : 0;
  return finding('orient.best', {
    layers: along < LIES_ALONG ? 'along' : along > STANDS ? 'across' : 'leaning',
    support:
      one.overhangAreaMm2 === 0
        ? 'none'
        : least === 0
          ? { whereNoneIsNeeded: measure(one.overhangAreaMm2, 'surfaceMm2') }
          : more < LEAST_MORE
            ? 'least'
            : { more: measure(more, 'share', 2) },
    ...(one.bedContactMm2 > 0 ? { onBed: measure(one.bedContactMm2, 'surfaceMm2') } : {}),
  });
}

function against(one: Omit<Orientation, 'why'>, first: Omit<Orientation, 'why'>): Finding {
  if (one.weakestMargin !== undefined && differs(one.weakestMargin, first.weakestMargin) !== 0)
    return finding('orient.weaker', { share: measure(one.weakestMargin / first.weakestMargin!, 'share') });
  if (differs(one.overhangAreaMm2, first.overhangAreaMm2) !== 0)
    return finding('orient.support', {
      more: measure(one.overhangAreaMm2 - first.overhangAreaMm2, 'surfaceMm2'),
    });
  return differs(one.heightMm, first.heightMm) === 0
    ? finding('orient.asGood', {})
    : finding('orient.higher', { by: measure(one.heightMm - first.heightMm, 'lengthMm') });
}

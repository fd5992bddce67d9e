import type { Point } from '../../gears/outlineFiles';
import type { Stretch } from '../../gears/toothForm';
import type { Edge, Kernel, Shape3D, Wire } from './kernel';

/** How far a curve may lie from the points of its contour, mm. */
const CURVE_MM = 1e-4;

/** A place as the kernel takes it, mm. */
export type Place = [x: number, y: number, z: number];

/** Where a point of a flat contour lies in space. */
export type Placed = (point: Point) => Place;

export const level =
  (z: number): Placed =>
  ([x, y]) => [x, y, z];

/** Curves along a contour: a flank is one smooth curve, not a row of facets. */
export const curvesOf = <T>(
  kit: Kernel,
  stretches: readonly Stretch<T>[],
  placed: (point: T) => Place,
): Edge[] =>
  stretches.map(({ curve, points }) => {
    const at = points.map(placed);
    const [first, last] = [at[0]!, at[at.length - 1]!];
    if (curve === 'line') return kit.makeLine(first, last);
    if (curve === 'arc') return kit.makeThreePointArc(first, at[Math.floor(at.length / 2)]!, last);
    return kit.makeBSplineApproximation(at, { tolerance: CURVE_MM, smoothing: null, degMin: 1, degMax: 3 });
  });

export const edgesOf = (kit: Kernel, stretches: readonly Stretch[], placed: Placed): Edge[] =>
  curvesOf(kit, stretches, placed);

export const wireOf = (kit: Kernel, stretches: readonly Stretch[], placed: Placed): Wire =>
  kit.assembleWire(edgesOf(kit, stretches, placed));

/** A contour drawn straight up, the surface alone. */
export const wall = (kit: Kernel, wire: Wire, from: number, to: number): Shape3D =>
  kit.complexExtrude(wire, [0, 0, from], [0, 0, to - from], undefined, true)[0];

/** Turned about the axis, seen from above counter-clockwise. */
export const turned = <T extends Edge | Shape3D>(one: T, angleDeg: number): T =>
  one.clone().rotate(angleDeg, [0, 0, 0], [0, 0, 1]) as T;

/** A side again at every tooth, the way teeth are counted: clockwise seen from above. */
export const roundAbout = (one: Shape3D, times: number): Shape3D[] =>
  Array.from({ length: times }, (_, k) => turned(one, (-360 * k) / times));

/** The edges of one tooth round all teeth, in order. */
export const roundAll = (edges: readonly Edge[], teeth: number): Edge[] =>
  Array.from({ length: teeth }, (_, k) => edges.map((edge) => turned(edge, (-360 * k) / teeth))).flat();

import { boreStretches } from '../gears/bore';
import { type Polar, type Stretch, toothOf, toothStretches } from '../gears/toothForm';
import { type BevelShape, type ConeOf, conesOf } from '../bevels/bevelGeometry';
import { closedBody } from './closed';
import { drilled, type Fittings, fitted } from './fittings';
import type { Face, Kernel, Shape3D } from './kit/kernel';
import { curvesOf, type Place, roundAbout, roundAll } from './kit/wires';

export interface BevelBodyInput extends Omit<BevelShape, 'shaftAngleDeg'>, Fittings {
  shaftAngleDeg?: number;
  gear: 'pinion' | 'wheel';
  backlashMm?: number;
}

const RAD = Math.PI / 180;

/** Where a bevel's teeth begin and end along its axis, from the apex of its cones, mm. */
export interface BevelEnds {
  /** The small end: where the tip's cone begins. */
  nearMm: number;
  /** The large end: where the root's cone ends. */
  farMm: number;
  /** At the tip of the large end, which no tooth exceeds. */
  tipMm: number;
  /** Of the root's cone at the far and at the near end. */
  rootFarMm: number;
  rootNearMm: number;
}

/** A tooth of a bevel as it lies on its back cone, developed: a spur gear with the virtual number of teeth (Tredgold). */
export interface BackCone {
  cone: ConeOf;
  coneDistanceMm: number;
  teeth: number;
  contour: Stretch<Polar>[];
  ends: BevelEnds;
  /** Radius and depth below the apex of a point of the developed contour, and how far round the axis, mm and rad. */
  laid(point: Polar): { radius: number; depth: number; angle: number };
}

export function backConeOf(input: BevelBodyInput): BackCone {
  const { shaftAngleDeg = 90, gear } = input;
  const cones = conesOf({ ...input, shaftAngleDeg });
  const { coneDistanceMm } = cones;
  const cone = cones[gear];
  const teeth = gear === 'pinion' ? input.pinionTeeth : input.wheelTeeth;
  const angle = cone.coneAngleDeg * RAD;
  const tooth = toothOf({
    teeth: cone.virtualTeeth,
    moduleMm: input.moduleMm,
    pressureAngleDeg: input.pressureAngleDeg,
    shift: gear === 'pinion' ? input.pinionShift : -input.pinionShift,
    backlashMm: input.backlashMm ?? 0,
  });
  const laid = (point: Polar) => ({
    radius: point.radius * Math.cos(angle),
    depth: coneDistanceMm / Math.cos(angle) - point.radius * Math.sin(angle),
    angle: (point.angle * cone.virtualTeeth) / teeth,
  });
  const [tip, root] = [laid({ radius: tooth.tip, angle: 0 }), laid({ radius: tooth.root, angle: 0 })];
  const share = 1 - input.faceWidthMm / coneDistanceMm;
  const [nearMm, farMm] = [share * tip.depth, root.depth];
  return {
    cone,
    coneDistanceMm,
    teeth,
    contour: toothStretches(tooth).stretches,
    ends: {
      nearMm,
      farMm,
      tipMm: tip.radius,
      rootFarMm: root.radius,
      rootNearMm: (root.radius * nearMm) / root.depth,
    },
    laid,
  };
}

/**
 * Straight bevel gear as a solid on true cones, to be printed standing on its large end. Both ends are flat: the teeth go on
 * along their cones beyond the large end's back cone, up to the tip's radius, and at the small end to where its tip begins;
 * two such gears have one apex and mesh there as they do between.
 *
 * @returns a solid whose large end lies on z = 0, its hub below it
 * @throws CalcError as `conesOf` and `toothOf`, and at the fittings that do not fit
 * @see ISO 23509; Tredgold's approximation
 */
export function bevelBody(kit: Kernel, input: BevelBodyInput): Shape3D {
  const back = backConeOf(input);
  const { teeth, ends } = back;
  const heightMm = ends.farMm - ends.nearMm;
  const fittings = fitted(input, heightMm, ends.rootFarMm, 'low');
  boreStretches(input, ends.rootNearMm);
  const sides = toothSides(kit, back);
  const edges = sides.flatMap((face) => face.edges);
  const on = (z: number) =>
    edges
      .filter((edge) => [edge.startPoint, edge.endPoint].every((point) => Math.abs(point.z - z) < SAME_MM))
      .sort((a, b) => clockwise(a.pointAt(0.5)) - clockwise(b.pointAt(0.5)));
  const body = closedBody(kit, {
    sides: roundAbout(kit.weldShellsAndFaces(sides, true), teeth),
    low: roundAll(on(0), teeth),
    high: roundAll(on(heightMm), teeth),
    heightMm,
    ...fittings,
  });
  return drilled(kit, body, fittings, heightMm);
}

const SAME_MM = 1e-5;
/** Of the root's radius: where the sector of one tooth ends inside. */
const INNER = 0.3;

const clockwise = ({ x, y }: { x: number; y: number }) => Math.atan2(x, y);

/** The sides of one tooth and of the valley behind it: a sector of the cones, turned off at the tip's radius. */
function toothSides(kit: Kernel, { contour, ends, laid }: BackCone): Face[] {
  const { nearMm, farMm, tipMm, rootNearMm } = ends;
  const at =
    (depth: number) =>
    (point: Polar): Place => {
      const { radius, depth: own, angle } = laid(point);
      const r = (radius * depth) / own;
      return [r * Math.sin(angle), r * Math.cos(angle), farMm - depth];
    };
  const sector = (depth: number) => {
    const edges = curvesOf(kit, contour, at(depth));
    const [from, to] = [edges[0]!.startPoint, edges[edges.length - 1]!.endPoint];
    const inner = ({ x, y, z }: typeof from): Place => [INNER * x, INNER * y, z];
    const corner = ({ x, y, z }: typeof from): Place => [x, y, z];
    return kit.assembleWire([
      ...edges,
      kit.makeLine(corner(to), inner(to)),
      kit.makeLine(inner(to), inner(from)),
      kit.makeLine(inner(from), corner(from)),
    ]);
  };
  const heightMm = farMm - nearMm;
  const wedge = kit.loft([sector(nearMm), sector(farMm)], { ruled: true });
  const within = kit.makeCylinder(tipMm, heightMm + 2, [0, 0, -1], [0, 0, 1]);
  const first = laid(contour[0]!.points[0]!).angle;
  const last = laid(contour.at(-1)!.points.at(-1)!).angle;
  return wedge.intersect(within).faces.filter((face) => {
    const { x, y, z } = face.center;
    const turn = clockwise({ x, y });
    const isEnd = Math.abs(z) < SAME_MM || Math.abs(z - heightMm) < SAME_MM;
    const isCut = Math.abs(turn - first) < SAME_MM || Math.abs(turn - last) < SAME_MM;
    return !isEnd && !isCut && Math.hypot(x, y) > (rootNearMm * (1 + INNER)) / 2;
  });
}

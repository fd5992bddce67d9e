import type { Assembled } from '../../base/assembled';
import { distance, middle, subtract, type Vec3 } from '../../base/vec3';
import type { DrawnCorner } from '../../car/document/suspension';
import type { DrawnPart } from '../../physics/making/drawn/drawing';
import { type UprightJoint, uprightDrawing } from '../../physics/making/recipes/upright';
import type { Drawer } from './drawer';

const [UPRIGHT, FORWARD]: [Vec3, Vec3] = [
  [0, 0, 1],
  [1, 0, 0],
];
/** An axle is thinner than its bearing's bore asks for, mm: shoulders of the outer ring. */
const SHOULDER_MM = 1;

/** Joints that hold the part that carries the wheel: the knuckle where the end steers by one, else the carrier. */
function jointsOf(corner: DrawnCorner, holeMm: number, halfMm: number): UprightJoint[] {
  const ball = (name: string, at: Vec3, along: Vec3): UprightJoint => ({ name, at, along, holeMm, halfMm });
  if (corner.kind === 'wishbones')
    return [
      ball('lowerOuter', corner.lowerOuter, UPRIGHT),
      ball('upperOuter', corner.upperOuter, UPRIGHT),
      ball('tieOuter', corner.tieOuter, UPRIGHT),
    ];
  const { kingpinLower, kingpinUpper, tieOuter } = corner;
  if (kingpinLower && kingpinUpper) {
    const along = subtract(kingpinUpper, kingpinLower);
    return [
      ball('kingpinLower', kingpinLower, along),
      ball('kingpinUpper', kingpinUpper, along),
      ...(tieOuter ? [ball('tieOuter', tieOuter, UPRIGHT)] : []),
    ];
  }
  const { outerFront, outerRear } = corner;
  return [
    {
      name: 'outer',
      at: middle(outerFront, outerRear),
      along: subtract(outerFront, outerRear),
      holeMm,
      halfMm: distance(outerFront, outerRear) / 2 + 1,
    },
    ball('upperOuter', corner.upperOuter, FORWARD),
  ];
}

/** The carrier or knuckle of an end: the wheel's bearings and the joints that hold them. */
export function uprightOfBuild(drawer: Drawer): Assembled<DrawnPart> {
  const { document, end } = drawer;
  const corner = document.suspension[end]?.corner;
  if (!corner) return { ok: false, missing: [`suspension.${end}.corner`] };
  const { wheelCentre, staticCamberDeg, staticToeDeg } = corner;
  const [g, d] = [staticCamberDeg, staticToeDeg].map((deg) => (deg * Math.PI) / 180) as [number, number];
  const boreMm = drawer.of('boreMm');
  const wall = drawer.of('wallMm');
  const steered = corner.kind === 'wishbones' || corner.kingpinLower !== undefined;
  const holeMm = drawer.hole(drawer.of('holeMm'), steered ? 'snug' : 'running');
  return {
    ok: true,
    value: uprightDrawing({
      wheelCentre,
      outboard: [Math.sin(d) * Math.cos(g), Math.cos(d) * Math.cos(g), -Math.sin(g)],
      joints: jointsOf(corner, holeMm, holeMm / 2 + wall + 2),
      bearingHoleMm: drawer.hole(boreMm, 'press'),
      bearingWidthMm: drawer.of('lengthMm'),
      axleHoleMm: boreMm - 2 * SHOULDER_MM,
      wallMm: wall,
      thicknessMm: drawer.of('thicknessMm'),
    }),
  };
}

import { add, cross, dot, lengthOf, scale, subtract, unit, type Vec3 } from '../../../base/vec3';
import { bar, type Box, boxAround, disc, type DrawnPart, prism, type Step, taken } from '../drawn/drawing';
import { needRoom } from './onEdge';

/** A joint of the upright: where it lies in the car and which way its hole runs. */
export interface UprightJoint {
  name: string;
  at: Vec3;
  along: Vec3;
  holeMm: number;
  /** Through its boss to both sides of the joint. */
  halfMm: number;
}

/** A carrier or knuckle: the wheel's bearings, and the joints that hold it. */
export interface UprightInput {
  wheelCentre: Vec3;
  /** Along the axle, away from the car. */
  outboard: Vec3;
  joints: readonly UprightJoint[];
  /** As drawn, one in each face. */
  bearingHoleMm: number;
  bearingWidthMm: number;
  /** For the axle between the bearings. */
  axleHoleMm: number;
  wallMm: number;
  /** Along the axle; the joints lie inside it. */
  thicknessMm: number;
}

const GRIP_MM = 1;

/**
 * In the drawing z runs along the axle outboard, x as far forward as it can; layers lie across the axle, so that no joint
 * pulls them apart.
 *
 * @throws CalcError at `thicknessMm` for bearings that meet, at `wallMm` for a joint's hole that meets the bearing's
 */
export function uprightDrawing(input: UprightInput): DrawnPart {
  const { wheelCentre, joints, bearingHoleMm, bearingWidthMm, axleHoleMm, wallMm, thicknessMm } = input;
  const z = unit(input.outboard);
  const forward = subtract([1, 0, 0], scale(z, z[0]));
  const x = unit(forward);
  const rows = [x, cross(z, x), z] as const;
  const flat = (point: Vec3): Vec3 => {
    const from = subtract(point, wheelCentre);
    return [dot(from, rows[0]), dot(from, rows[1]), dot(from, rows[2])];
  };
  needRoom(thicknessMm - 2 * bearingWidthMm, 'thicknessMm');
  needRoom((bearingHoleMm - axleHoleMm) / 2, 'boreMm');
  const placed = joints.map((joint) => ({ ...joint, local: flat(joint.at) }));
  // the body lies over the middle of its joints
  const depths = placed.map(({ local }) => local[2]);
  const shift = thicknessMm / 2 - (Math.min(...depths) + Math.max(...depths)) / 2;
  const up = (at: Vec3): Vec3 => add(at, [0, 0, shift]);
  const hub = bearingHoleMm / 2 + wallMm;
  const turned = (v: Vec3): Vec3 => [dot(v, rows[0]), dot(v, rows[1]), dot(v, rows[2])];
  const bodies = placed.map(({ local: [px, py], holeMm }): Step => {
    needRoom(Math.hypot(px, py) - bearingHoleMm / 2 - holeMm / 2, 'wallMm');
    return prism('z', [disc(0, 0, hub), disc(px, py, holeMm / 2 + wallMm)], 0, thicknessMm);
  });
  const holes = placed.map(({ local, along, holeMm, halfMm }): Step => {
    const axis = unit(turned(along));
    const at = up(local);
    // towards the axle no farther than its bearings' wall
    const room = Math.hypot(local[0], local[1]) - bearingHoleMm / 2 - wallMm / 2;
    const reach = (side: 1 | -1) => {
      const inwards = -side * (axis[0] * local[0] + axis[1] * local[1]);
      const most = inwards > 1e-6 ? (room * Math.hypot(local[0], local[1])) / inwards : Infinity;
      return scale(axis, side * Math.max(0.1, Math.min(halfMm, most)));
    };
    return taken(bar(add(at, reach(-1)), add(at, reach(1)), holeMm / 2));
  });
  const round = (radius: number, from: number, to: number) =>
    taken(prism('z', [disc(0, 0, radius)], from, to));
  return {
    drawing: {
      steps: [
        prism('z', [disc(0, 0, hub)], 0, thicknessMm),
        ...bodies,
        round(axleHoleMm / 2, -1, thicknessMm + 1),
        round(bearingHoleMm / 2, -1, bearingWidthMm),
        round(bearingHoleMm / 2, thicknessMm - bearingWidthMm, thicknessMm + 1),
        ...holes,
      ],
    },
    places: new Map<string, Box>([
      [
        'bearings',
        boxAround(
          [0, 0, thicknessMm / 2],
          [bearingHoleMm / 2 + GRIP_MM, bearingHoleMm / 2 + GRIP_MM, thicknessMm / 2],
        ),
      ],
      ...placed.map(({ name, local, along, holeMm, halfMm }): [string, Box] => {
        const axis = turned(along);
        const size = axis.map((one) => holeMm / 2 + GRIP_MM + (Math.abs(one) / lengthOf(axis)) * halfMm);
        return [name, boxAround(up(local), size as unknown as Vec3)];
      }),
    ]),
    rows,
    anchor: { drawing: [0, 0, shift], car: wheelCentre },
  };
}

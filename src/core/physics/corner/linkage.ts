import { refusal } from '../../base/errors';
import {
  after,
  carry,
  cross,
  distance,
  dot,
  lengthOf,
  type Motion,
  rotationAbout,
  STILL,
  subtract,
  unit,
  type Vec3,
} from '../../base/vec3';
import type { Corner, HingePinCorner, WishboneCorner } from './corner';
import { angleOf, type HeldHinge, heldHinge } from './hinge';

declare module '../../base/errors' {
  interface RefusalFacts {
    'corner.stuck': Record<never, never>;
    'corner.coincides': { ends: CoincidentEnds };
    'corner.onHinge': Record<never, never>;
  }
}

/** Every body of a corner as it was moved from rest. */
export interface Pose {
  /** Of the lower arm, rad. */
  angle: number;
  rackMm: number;
  lower: Motion;
  upper: Motion;
  /** Between arm and knuckle, of hinge pins; the upright of wishbones. */
  carrier: Motion;
  /** What the wheel turns on. */
  upright: Motion;
}

/** What can be posed by one figure of its own and its rack; undefined where a link does not reach. */
export interface Posable {
  corner: { wheelCentre: Vec3 };
  pose(angle: number, rackMm: number): Pose | undefined;
}

/** A corner that can be posed by the angle of its lower arm and its rack. */
export interface Linkage extends Posable {
  corner: Corner;
}

const SAME_MM = 0.01;
/** Slope of a constraint, mm², under which a joint is stuck or free at rest. */
const STUCK_MM2 = 1e-6;

/** What links are longer than drawn by, mm: of the tie rod, and of the link above hinge pins. */
export interface Longer {
  tieMm?: number;
  upperMm?: number;
}

/**
 * The linkage of a corner: one free angle, the others by circles that meet spheres, each on the side on which it rests.
 *
 * @throws CalcError at the first point of a pair that coincides, at a ball joint on its own hinge line, with an empty path
 * where the static position is singular
 */
export function linkageOf(corner: Corner, longer: Longer = {}): Linkage {
  refuseCoincident(corner);
  const linkage = corner.kind === 'wishbones' ? wishbones(corner, longer) : hingePins(corner, longer);
  const [up, down] = [linkage.pose(1e-5, 0), linkage.pose(-1e-5, 0)];
  const slope =
    up && down
      ? (carry(up.upright, corner.wheelCentre)[2] - carry(down.upright, corner.wheelCentre)[2]) / 2e-5
      : 0;
  if (Math.abs(slope) < SAME_MM) throw singular();
  return linkage;
}

const singular = () => refusal('', 'corner.stuck');

const stuck = (hinge: HeldHinge) => Math.abs(hinge.slope) < STUCK_MM2;

const lengthened = (hinge: HeldHinge, by = 0): HeldHinge => ({ ...hinge, length: hinge.length + by });

function wishbones(corner: WishboneCorner, { tieMm }: Longer): Linkage {
  const { lowerFront, lowerRear, lowerOuter, upperFront, upperRear, upperOuter, tieInner, tieOuter } = corner;
  const lowerAxis = unit(subtract(lowerFront, lowerRear));
  const arm = heldHinge(upperFront, subtract(upperFront, upperRear), upperOuter, lowerOuter);
  const kingpin = subtract(upperOuter, lowerOuter);
  const steer = lengthened(heldHinge(lowerOuter, kingpin, tieOuter, tieInner), tieMm);
  if (stuck(arm) || stuck(steer)) throw singular();
  const restAxis = unit(kingpin);
  return {
    corner,
    pose: (angle, rackMm) => {
      const lower = rotationAbout(lowerFront, lowerAxis, angle);
      const ball = carry(lower, lowerOuter);
      const upperAngle = angleOf(arm, subtract(upperOuter, upperFront), subtract(ball, upperFront));
      if (upperAngle === undefined) return undefined;
      const upper = rotationAbout(upperFront, arm.axis, upperAngle);
      const axis = unit(subtract(carry(upper, upperOuter), ball));
      const carried = swung(restAxis, axis, lowerOuter, ball);
      const rack: Vec3 = [tieInner[0], tieInner[1] + rackMm, tieInner[2]];
      const steerAngle = angleOf(
        { axis, length: steer.length, side: steer.side },
        subtract(carry(carried, tieOuter), ball),
        subtract(rack, ball),
      );
      if (steerAngle === undefined) return undefined;
      const upright = after(rotationAbout(ball, axis, steerAngle), carried);
      return { angle, rackMm, lower, upper, carrier: upright, upright };
    },
  };
}

/** Takes one point to another with the least rotation between two directions of length 1. */
export function swung(from: Vec3, to: Vec3, at: Vec3, goesTo: Vec3): Motion {
  const normal = cross(from, to);
  const sine = lengthOf(normal);
  const rotation =
    sine < 1e-15
      ? STILL
      : rotationAbout(
          [0, 0, 0],
          [normal[0] / sine, normal[1] / sine, normal[2] / sine],
          Math.atan2(sine, dot(from, to)),
        );
  return {
    rows: rotation.rows,
    shift: subtract(goesTo, carry({ rows: rotation.rows, shift: [0, 0, 0] }, at)),
  };
}

function hingePins(corner: HingePinCorner, { tieMm, upperMm }: Longer): Linkage {
  const {
    lowerFront,
    lowerRear,
    outerFront,
    outerRear,
    upperInner,
    upperOuter,
    kingpinLower,
    kingpinUpper,
    tieInner,
    tieOuter,
  } = corner;
  const lowerAxis = unit(subtract(lowerFront, lowerRear));
  const outerAxis = unit(subtract(outerFront, outerRear));
  const tilt = lengthened(heldHinge(outerFront, outerAxis, upperOuter, upperInner), upperMm);
  const steer =
    kingpinLower && kingpinUpper && tieInner && tieOuter
      ? {
          hinge: lengthened(
            heldHinge(kingpinLower, subtract(kingpinUpper, kingpinLower), tieOuter, tieInner),
            tieMm,
          ),
          kingpinLower,
          kingpinUpper,
          tieInner,
          tieOuter,
        }
      : undefined;
  if (stuck(tilt) || (steer && stuck(steer.hinge))) throw singular();
  return {
    corner,
    pose: (angle, rackMm) => {
      const lower = rotationAbout(lowerFront, lowerAxis, angle);
      const origin = carry(lower, outerFront);
      const axis = unit(subtract(origin, carry(lower, outerRear)));
      const tiltAngle = angleOf(
        { axis, length: tilt.length, side: tilt.side },
        subtract(carry(lower, upperOuter), origin),
        subtract(upperInner, origin),
      );
      if (tiltAngle === undefined) return undefined;
      const carrier = after(rotationAbout(origin, axis, tiltAngle), lower);
      if (!steer) return { angle, rackMm, lower, upper: STILL, carrier, upright: carrier };
      const base = carry(carrier, steer.kingpinLower);
      const pin = unit(subtract(carry(carrier, steer.kingpinUpper), base));
      const rack: Vec3 = [steer.tieInner[0], steer.tieInner[1] + rackMm, steer.tieInner[2]];
      const steerAngle = angleOf(
        { axis: pin, length: steer.hinge.length, side: steer.hinge.side },
        subtract(carry(carrier, steer.tieOuter), base),
        subtract(rack, base),
      );
      if (steerAngle === undefined) return undefined;
      return {
        angle,
        rackMm,
        lower,
        upper: STILL,
        carrier,
        upright: after(rotationAbout(base, pin, steerAngle), carrier),
      };
    },
  };
}

/** Two ends that a corner keeps apart. */
export type CoincidentEnds = 'hinge' | 'upperHinge' | 'outerHinge' | 'balls' | 'link' | 'kingpin' | 'tie';

function refuseCoincident(corner: Corner): void {
  const pair = (path: string, a: Vec3, b: Vec3, ends: CoincidentEnds) => {
    if (distance(a, b) < SAME_MM) throw refusal(path, 'corner.coincides', { ends });
  };
  const onLine = (path: string, point: Vec3, a: Vec3, b: Vec3) => {
    if (lengthOf(cross(unit(subtract(a, b)), subtract(point, a))) < SAME_MM)
      throw refusal(path, 'corner.onHinge');
  };
  pair('lowerFront', corner.lowerFront, corner.lowerRear, 'hinge');
  if (corner.kind === 'wishbones') {
    pair('upperFront', corner.upperFront, corner.upperRear, 'upperHinge');
    onLine('lowerOuter', corner.lowerOuter, corner.lowerFront, corner.lowerRear);
    onLine('upperOuter', corner.upperOuter, corner.upperFront, corner.upperRear);
    pair('lowerOuter', corner.lowerOuter, corner.upperOuter, 'balls');
    return;
  }
  pair('outerFront', corner.outerFront, corner.outerRear, 'outerHinge');
  pair('upperInner', corner.upperInner, corner.upperOuter, 'link');
  onLine('upperOuter', corner.upperOuter, corner.outerFront, corner.outerRear);
  if (corner.kingpinLower && corner.kingpinUpper)
    pair('kingpinLower', corner.kingpinLower, corner.kingpinUpper, 'kingpin');
}

import {
  angleBetween,
  carry,
  distance,
  middle,
  type Motion,
  rotationAbout,
  subtract,
  turn,
  turnBack,
  unit,
  type Vec3,
} from '../../base/vec3';
import type { Corner, DamperPoints, PointName, RockerPoints } from './corner';
import { angleOf, heldHinge } from './hinge';
import type { Linkage, Pose } from './linkage';

const DEG = 180 / Math.PI;

/** Axis of the wheel at rest, pointing outboard. */
export function restAxis({ staticCamberDeg, staticToeDeg }: Corner): Vec3 {
  const [g, d] = [staticCamberDeg / DEG, staticToeDeg / DEG];
  return [Math.sin(d) * Math.cos(g), Math.cos(d) * Math.cos(g), -Math.sin(g)];
}

export interface WheelReading {
  camberDeg: number;
  toeDeg: number;
  contact: Vec3;
}

/** Where the wheel points and stands. */
export function wheelOf(corner: Corner, upright: Motion, rest: Vec3): WheelReading {
  const s = turn(upright, rest);
  const down = unit([s[2] * s[0], s[2] * s[1], s[2] * s[2] - 1]);
  const centre = carry(upright, corner.wheelCentre);
  const r = corner.tyreRadiusMm;
  return {
    camberDeg: -Math.asin(s[2]) * DEG,
    toeDeg: Math.atan2(s[0], s[1]) * DEG,
    contact: [centre[0] + r * down[0], centre[1] + r * down[1], centre[2] + r * down[2]],
  };
}

export interface SteeringReading {
  casterDeg: number;
  kingpinDeg: number;
  scrubRadiusMm: number;
  trailMm: number;
}

/** Lower and upper end of the steering axis, where there is one. */
function steeringAxis(corner: Corner, pose: Pose): readonly [Vec3, Vec3] | undefined {
  if (corner.kind === 'wishbones')
    return [carry(pose.lower, corner.lowerOuter), carry(pose.upper, corner.upperOuter)];
  const { kingpinLower, kingpinUpper } = corner;
  return kingpinLower && kingpinUpper
    ? [carry(pose.carrier, kingpinLower), carry(pose.carrier, kingpinUpper)]
    : undefined;
}

export function steeringOf(
  corner: Corner,
  pose: Pose,
  { toeDeg, contact }: WheelReading,
): SteeringReading | undefined {
  const ends = steeringAxis(corner, pose);
  if (!ends) return undefined;
  const k = unit(subtract(ends[1], ends[0]));
  const t = (contact[2] - ends[0][2]) / k[2];
  const q: Vec3 = [ends[0][0] + t * k[0] - contact[0], ends[0][1] + t * k[1] - contact[1], 0];
  const [s, c] = [Math.sin(toeDeg / DEG), Math.cos(toeDeg / DEG)];
  return {
    casterDeg: Math.atan2(-k[0], k[2]) * DEG,
    kingpinDeg: Math.atan2(-k[1], k[2]) * DEG,
    trailMm: q[0] * c - q[1] * s,
    scrubRadiusMm: -q[0] * s - q[1] * c,
  };
}

/** A rocker as it stands: what pushes it, what it pushes, and its pivot. */
export interface RockerPose {
  pushrod: readonly [arm: Vec3, rocker: Vec3];
  damper: readonly [rocker: Vec3, chassis: Vec3];
  pivot: Vec3;
}

/** The rocker of a corner that has one; undefined where the pushrod does not reach. */
export function rockerOf({ rocker }: Corner): ((pose: Pose) => RockerPose | undefined) | undefined {
  if (!rocker) return undefined;
  const hinge = heldHinge(rocker.pivot, rocker.axis, rocker.pushrodRocker, rocker.pushrodArm);
  return (pose) => {
    const arm = carry(bodyOf(pose, { on: rocker.pushrodArmOn }), rocker.pushrodArm);
    const angle = angleOf(hinge, subtract(rocker.pushrodRocker, rocker.pivot), subtract(arm, rocker.pivot));
    if (angle === undefined) return undefined;
    const turned = rotationAbout(rocker.pivot, hinge.axis, angle);
    return {
      pushrod: [arm, carry(turned, rocker.pushrodRocker)],
      damper: [carry(turned, rocker.damperRocker), rocker.damperChassis],
      pivot: rocker.pivot,
    };
  };
}

/** The same corner, which has no pose where its pushrod does not reach the rocker. */
export function reaching(linkage: Linkage): Linkage {
  const rocker = rockerOf(linkage.corner);
  if (!rocker) return linkage;
  return {
    ...linkage,
    pose: (angle, rackMm) => {
      const pose = linkage.pose(angle, rackMm);
      return pose && rocker(pose) ? pose : undefined;
    },
  };
}

/** Length of the damper, direct or through a rocker; undefined where the pushrod does not reach. */
export function damperOf(corner: Corner): ((pose: Pose) => number | undefined) | undefined {
  const { damper } = corner;
  if (damper) return (pose) => distance(carry(bodyOf(pose, damper), damper.outer), damper.inner);
  const rocker = rockerOf(corner);
  return (
    rocker &&
    ((pose) => {
      const posed = rocker(pose);
      return posed && distance(...posed.damper);
    })
  );
}

const bodyOf = (
  pose: Pose,
  { on }: Pick<DamperPoints, 'on'> | { on: RockerPoints['pushrodArmOn'] },
): Motion => pose[on];

export type Articulation = Partial<
  Record<'lower' | 'upper' | 'upperInner' | 'tieInner' | 'tieOuter', number>
>;

/** How far each link has turned in the joint at its end, degrees. */
export function articulationOf(corner: Corner, pose: Pose): Articulation {
  const turnedBy = (frame: Motion | undefined, now: Vec3, rest: Vec3) =>
    angleBetween(frame ? turnBack(frame, now) : now, rest) * DEG;
  const tie = (inner: Vec3, outer: Vec3): Articulation => {
    const rest = subtract(outer, inner);
    const now = subtract(carry(pose.upright, outer), [inner[0], inner[1] + pose.rackMm, inner[2]]);
    return { tieInner: turnedBy(undefined, now, rest), tieOuter: turnedBy(pose.upright, now, rest) };
  };
  if (corner.kind === 'hingePins') {
    const rest = subtract(corner.upperOuter, corner.upperInner);
    const now = subtract(carry(pose.carrier, corner.upperOuter), corner.upperInner);
    return {
      upper: turnedBy(pose.carrier, now, rest),
      upperInner: turnedBy(undefined, now, rest),
      ...(corner.tieInner && corner.tieOuter ? tie(corner.tieInner, corner.tieOuter) : {}),
    };
  }
  const arm = (front: Vec3, rear: Vec3, outer: Vec3, moved: Motion) => {
    const inner = middle(front, rear);
    return turnedBy(pose.upright, subtract(carry(moved, outer), inner), subtract(outer, inner));
  };
  return {
    lower: arm(corner.lowerFront, corner.lowerRear, corner.lowerOuter, pose.lower),
    upper: arm(corner.upperFront, corner.upperRear, corner.upperOuter, pose.upper),
    ...tie(corner.tieInner, corner.tieOuter),
  };
}

export type CornerPoints = Partial<Record<PointName, Vec3>> & { contact: Vec3 };

/** Every point of the corner where it is now. */
export function pointsOf(corner: Corner, pose: Pose, contact: Vec3): CornerPoints {
  const { lowerFront, lowerRear } = corner;
  const wheelCentre = carry(pose.upright, corner.wheelCentre);
  // one literal a kind: spreading them is what a sweep would spend most of its time on
  if (corner.kind === 'wishbones') {
    return {
      lowerFront,
      lowerRear,
      lowerOuter: carry(pose.lower, corner.lowerOuter),
      upperFront: corner.upperFront,
      upperRear: corner.upperRear,
      upperOuter: carry(pose.upper, corner.upperOuter),
      tieInner: racked(corner.tieInner, pose),
      tieOuter: carry(pose.upright, corner.tieOuter),
      wheelCentre,
      contact,
    };
  }
  const { kingpinLower, kingpinUpper, tieInner, tieOuter, upperInner } = corner;
  const [outerFront, outerRear, upperOuter] = [
    carry(pose.lower, corner.outerFront),
    carry(pose.lower, corner.outerRear),
    carry(pose.carrier, corner.upperOuter),
  ];
  if (!kingpinLower || !kingpinUpper || !tieInner || !tieOuter)
    return { lowerFront, lowerRear, outerFront, outerRear, upperInner, upperOuter, wheelCentre, contact };
  return {
    lowerFront,
    lowerRear,
    outerFront,
    outerRear,
    upperInner,
    upperOuter,
    kingpinLower: carry(pose.carrier, kingpinLower),
    kingpinUpper: carry(pose.carrier, kingpinUpper),
    tieInner: racked(tieInner, pose),
    tieOuter: carry(pose.upright, tieOuter),
    wheelCentre,
    contact,
  };
}

const racked = (inner: Vec3, { rackMm }: Pose): Vec3 => [inner[0], inner[1] + rackMm, inner[2]];

import {
  type Articulation,
  articulationOf,
  type CornerPoints,
  damperOf,
  pointsOf,
  restAxis,
  steeringOf,
  type SteeringReading,
  wheelOf,
} from './readings';
import { aside, type Aside, type Reached, slopeOf } from './travel';
import { carry, subtract, turnBack, type Vec3 } from '../../base/vec3';
import type { Linkage, Pose } from './linkage';

export interface Station extends Partial<SteeringReading> {
  travelMm: number;
  rackMm: number;
  camberDeg: number;
  toeDeg: number;
  steerDeg: number;
  trackChangeMm: number;
  wheelbaseChangeMm: number;
  rollCentreMm?: number;
  motionRatio?: number;
  damperLengthMm?: number;
  articulationDeg: Articulation;
  points: CornerPoints;
}

export const ASIDE_MM = 0.05;

export type Slope = (reading: (of: Pose) => number | undefined) => number | undefined;
/** How a reading goes with the travel between poses close by. */
export function sloped(down: Aside | undefined, at: Aside, up: Aside | undefined): Slope {
  return (reading) => {
    const place = (of: Aside | undefined) => {
      const value = of && reading(of.pose);
      return of && value !== undefined ? ([of.travelMm, value] as const) : undefined;
    };
    return slopeOf(place(down), place(at)!, place(up));
  };
}

/** Height over the contact point where the normal of its path meets the middle of the car. */
export function rollCentre(contact: Vec3, { upright }: Pose, slope: Slope): number | undefined {
  const material = turnBack(upright, subtract(contact, upright.shift));
  const [sideways, lift] = [
    slope((of) => carry(of.upright, material)[1]),
    slope((of) => carry(of.upright, material)[2]),
  ];
  return sideways === undefined || lift === undefined ? undefined : (contact[1] * sideways) / lift;
}
/** Reads a station; undefined where the pushrod does not reach. */
export function reader(linkage: Linkage): (at: Reached) => Station | undefined {
  const { corner } = linkage;
  const axis = restAxis(corner);
  const damper = damperOf(corner);
  const still = wheelOf(
    corner,
    {
      rows: [
        [1, 0, 0],
        [0, 1, 0],
        [0, 0, 1],
      ],
      shift: [0, 0, 0],
    },
    axis,
  );
  const forward = corner.end === 'rear' ? -1 : 1;
  return (at) => {
    const { pose } = at;
    const wheel = wheelOf(corner, pose.upright, axis);
    const lengthMm = damper?.(pose);
    if (damper && lengthMm === undefined) return undefined;
    const [up, down] = [aside(linkage, at, ASIDE_MM), aside(linkage, at, -ASIDE_MM)];
    const slope = sloped(down, at, up);
    const rollCentreMm = rollCentre(wheel.contact, pose, slope);
    const lengthening = damper && slope(damper);
    return {
      travelMm: at.travelMm,
      rackMm: pose.rackMm,
      camberDeg: wheel.camberDeg,
      toeDeg: wheel.toeDeg,
      steerDeg: still.toeDeg - wheel.toeDeg,
      ...steeringOf(corner, pose, wheel),
      trackChangeMm: wheel.contact[1] - still.contact[1],
      wheelbaseChangeMm: forward * (wheel.contact[0] - still.contact[0]),
      ...(rollCentreMm === undefined ? {} : { rollCentreMm }),
      ...(lengthening === undefined ? {} : { motionRatio: -lengthening }),
      ...(lengthMm === undefined ? {} : { damperLengthMm: lengthMm }),
      articulationDeg: articulationOf(corner, pose),
      points: pointsOf(corner, pose, wheel.contact),
    };
  };
}

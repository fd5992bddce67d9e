import type { Vec3 } from '../../base/vec3';

export interface DamperPoints {
  inner: Vec3;
  outer: Vec3;
  on: 'lower' | 'upper' | 'upright' | 'carrier';
  closedLengthMm?: number;
}

export interface RockerPoints {
  pivot: Vec3;
  /** Direction, any length. */
  axis: Vec3;
  pushrodArm: Vec3;
  pushrodArmOn: 'lower' | 'upper' | 'upright' | 'carrier';
  pushrodRocker: Vec3;
  damperRocker: Vec3;
  damperChassis: Vec3;
  closedLengthMm?: number;
}

interface Common {
  end?: 'front' | 'rear';
  lowerFront: Vec3;
  lowerRear: Vec3;
  wheelCentre: Vec3;
  tyreRadiusMm: number;
  staticCamberDeg: number;
  staticToeDeg: number;
  damper?: DamperPoints;
  rocker?: RockerPoints;
  jointLimitDeg?: number;
}

/** Two arms with ball joints, and a tie rod or toe link. */
export interface WishboneCorner extends Common {
  kind: 'wishbones';
  lowerOuter: Vec3;
  upperFront: Vec3;
  upperRear: Vec3;
  upperOuter: Vec3;
  tieInner: Vec3;
  tieOuter: Vec3;
}

/** An arm with an outer hinge, a carrier on it and a link above; a knuckle on the carrier where it steers. */
export interface HingePinCorner extends Common {
  kind: 'hingePins';
  outerFront: Vec3;
  outerRear: Vec3;
  upperInner: Vec3;
  upperOuter: Vec3;
  kingpinLower?: Vec3;
  kingpinUpper?: Vec3;
  tieInner?: Vec3;
  tieOuter?: Vec3;
}

/** The left corner at static ride height, mm in the car's axes: x forward, y to the left, z up. */
export type Corner = WishboneCorner | HingePinCorner;

export const POINT_NAMES = [
  'lowerFront',
  'lowerRear',
  'lowerOuter',
  'upperFront',
  'upperRear',
  'upperInner',
  'upperOuter',
  'outerFront',
  'outerRear',
  'kingpinLower',
  'kingpinUpper',
  'tieInner',
  'tieOuter',
  'wheelCentre',
] as const;
export type PointName = (typeof POINT_NAMES)[number];

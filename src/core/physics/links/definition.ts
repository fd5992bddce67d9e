import type { Vec3 } from '../../base/vec3';
import type { Finding } from '../../base/finding';
import type { Corner } from '../corner/corner';
import type { SweepFinding } from '../corner/sweepFindings';

/** Where the wheel of a corner without arms stands. */
interface Wheel {
  wheelCentre: Vec3;
  tyreRadiusMm: number;
  staticCamberDeg?: number;
  staticToeDeg?: number;
}

/** A rod with ball ends between chassis and upright. */
export interface RodLink {
  id: string;
  inner: Vec3;
  outer: Vec3;
  /** The rack moves its inner end. */
  steer?: boolean;
}

export interface RodDamper {
  inner: Vec3;
  outer: Vec3;
}

/** Rods and the damper hold the upright. */
export interface RodsCorner extends Wheel {
  kind: 'links';
  links: readonly RodLink[];
  damper: RodDamper;
}

/** An arm on one hinge that holds the wheel's axle fast, and the damper on it. */
export interface TrailingArmCorner extends Wheel {
  kind: 'trailingArm';
  hingeInner: Vec3;
  hingeOuter: Vec3;
  damper: RodDamper;
}

export type ForcedCorner = Corner | RodsCorner | TrailingArmCorner;

/** A force on the left wheel in the car's axes, N and N·mm. */
export interface WheelLoad {
  name: string;
  forceN: Vec3;
  at?: 'contact' | 'hub';
  /** Where what turns or brakes the wheel is held. */
  torque?: 'inboard' | 'outboard';
  momentNmm?: Vec3;
}

export interface StandardLoads {
  /** Of the wheel as the car stands, N. */
  staticN: number;
  mu?: number;
  landingN?: number;
  kerbAheadN?: number;
  kerbSideN?: number;
  corneringN?: number;
  brakingN?: number;
  driveN?: number;
  brakes?: 'inboard' | 'outboard';
  drive?: 'inboard' | 'outboard';
  servoNm?: number;
  servoSaverNm?: number;
  servoArmMm?: number;
}

export interface LinksForcesInput {
  corner: ForcedCorner;
  travelMm?: { from: number; to: number; step: number } | readonly number[];
  rackMm?: readonly number[];
  loads?: readonly WheelLoad[];
  standard?: StandardLoads;
}

/** Forces by the names of members (tension positive) and of points. */
export interface LoadForces {
  name: string;
  members: Record<string, number>;
  /** On the part nearer the wheel. */
  joints: Record<string, Vec3>;
  chassis: Record<string, Vec3>;
  /** Of an arm without damper or pushrod, as two rods would carry it. */
  legsN?: { lower?: [front: number, rear: number]; upper?: [front: number, rear: number] };
}

export interface ForcesStation {
  travelMm: number;
  rackMm: number;
  loads: LoadForces[];
}

export interface WorstAt {
  load: string;
  travelMm: number;
  rackMm: number;
}

export interface WorstMember {
  tensionN: number;
  tension?: WorstAt;
  compressionN: number;
  compression?: WorstAt;
  /** Between its ends where it is pushed the most. */
  bucklingLengthMm: number;
}

export interface LinksForcesResult {
  stations: ForcesStation[];
  worst: Record<string, WorstMember>;
  worstJoints: Record<string, WorstAt & { forceN: number }>;
  /** Of rods, at the first station. */
  conditionNumber?: number;
  findings: SweepFinding[];
  notes: Finding[];
}

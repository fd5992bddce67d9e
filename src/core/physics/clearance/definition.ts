import type { Vec3 } from '../../base/vec3';
import type { OperationFinding } from '../../base/operationFinding';
import type { SweepInput } from '../corner/sweep';

export const SHAPE_CLASSES = ['plain', 'hot', 'wire'] as const;
export type ShapeClass = (typeof SHAPE_CLASSES)[number];

export type Form =
  | { kind: 'sphere'; centreMm: Vec3; radiusMm: number }
  /** A capsule ends round, a cylinder flat. */
  | { kind: 'capsule' | 'cylinder'; fromMm: Vec3; toMm: Vec3; radiusMm: number }
  /** Turned about x, then y, then z, all fixed. */
  | { kind: 'box'; centreMm: Vec3; sizeMm: Vec3; turnDeg?: Vec3 }
  | { kind: 'hull'; pointsMm: readonly Vec3[] }
  | { kind: 'mesh'; pointsMm: readonly Vec3[]; triangles: readonly (readonly [number, number, number])[] };

/** Something of the car where it is at static; what is not on the car's own body moves with a pose. */
export type Shape = Form & { id: string; body?: string; class?: ShapeClass };

export const CAR = 'car';

/** A body turned about a line, then moved. */
export interface BodyMove {
  moveMm?: Vec3;
  turn?: { axis: Vec3; aboutMm: Vec3; deg: number };
}

export interface NamedPose {
  name: string;
  bodies: Readonly<Record<string, BodyMove>>;
}

export interface Wanted {
  fixedMm?: number;
  movingMm?: number;
  hotMm?: number;
  wireMm?: number;
}

export interface ClearanceInput {
  shapes: readonly Shape[];
  poses?: readonly NamedPose[];
  corner?: SweepInput;
  required?: Wanted;
  allowed?: readonly (readonly [string, string])[];
  ground?: GroundInput;
}

export interface GroundInput {
  wheelbaseMm: number;
  frontRadiusMm: number;
  rearRadiusMm: number;
}

export type PoseName = string | { travelMm: number; rackMm: number };

export interface NearPair {
  a: string;
  b: string;
  distanceMm: number;
  contact: boolean;
  /** Shortest way that parts them; left out of a mesh. */
  penetrationMm?: number;
  /** Where they come nearest. */
  pose: PoseName;
  requiredMm: number;
  marginMm: number;
  allowed: boolean;
}

export interface GroundResult {
  clearanceMm: number;
  clearanceAtMm: number;
  approachDeg: number;
  departureDeg: number;
  breakoverDeg?: number;
  highestStepMm: number;
}

export interface ClearanceResult {
  pairs: NearPair[];
  contacts: number;
  worst?: { a: string; b: string; pose: PoseName; marginMm: number };
  findings: OperationFinding[];
  ground?: GroundResult;
}

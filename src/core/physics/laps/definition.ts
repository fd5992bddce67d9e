import type { BrakeDefinition } from '../braking/definition';
import type { LossesDefinition } from '../heat/losses';
import type { DriveRunInput } from '../motion/definition';

export interface SegmentDefinition {
  lengthM: number;
  /** Left out for a straight. */
  radiusM?: number;
  gradePct?: number;
}

export interface TrackDefinition {
  /** Whether its end is its start. */
  closed?: boolean;
  /** One after the other; or the points of its line, m. */
  segments?: SegmentDefinition[];
  pointsM?: [number, number][];
  /** Distance of the cuts along the line of points, m. */
  resampleM?: number;
  /** Of an open track. */
  startMps?: number;
}

export interface DriveLapInput extends DriveRunInput {
  track: TrackDefinition;
  /** Friction across over friction along. */
  lateralGripFactor?: number;
  /** Share of the grip that the driver uses, 0.3 to 1. */
  drivingStyle?: number;
  brake?: BrakeDefinition;
  losses?: LossesDefinition;
}

import type { DriveRunInput } from '../motion/definition';

/** Brakes of a car: motors that are shorted, and what rubs at the axles. */
export interface BrakeDefinition {
  /** Share of the controller's current limit, 0 to 1; or the torque of each motor's shaft, Nm. */
  motorShare?: number;
  motorNm?: number;
  /** Share of the current limit while the throttle is closed, 0 to 1. */
  dragShare?: number;
  /** Share of the motors' braking on the front axle, all wheels driven: 0 to 1; by the axle loads where left out. */
  motorFrontShare?: number;
  /** Torque at the axle, Nm. */
  mechanicalFrontNm?: number;
  mechanicalRearNm?: number;
  /** Throttle closed before the brake comes on, s. */
  coastS?: number;
  /** The driver eases off, or holds the brake while an axle slides. */
  onLock?: 'ease' | 'slide';
  /** Friction of a sliding tyre over its grip. */
  slideShare?: number;
  /** Share of what the motors give that reaches the pack, 0 to 1. */
  regeneration?: number;
}

/** A car slowing from one speed to another. */
export interface DriveBrakeInput extends Omit<DriveRunInput, 'throttle' | 'distanceM' | 'maxTimeS'> {
  fromMps: number;
  toMps?: number;
  brake: BrakeDefinition;
}

import type { GripMethod, Slipping } from '../../physics/grip/definition';
import type { Direction } from '../../physics/handling/straight';

/** In the order in which they are offered. */
export const GRIP_METHODS = [
  'pull',
  'tilt',
  'circle',
  'brakeLength',
  'brakeTime',
  'launch',
] as const satisfies readonly GripMethod[];

/** A reading of a list, in the unit of its method. */
export interface Reading {
  id: string;
  value: number;
}

/** Friction measured one way: what was read, and what was held. */
export interface GripSheet {
  method?: GripMethod;
  /** As it was on the car that day. */
  tyre?: string;
  /** The ground or the tyres were wet. */
  wet?: boolean;
  /** N, degrees, s or m. */
  readings?: Reading[];
  readingError?: number;
  /** Of a pull: along or across. */
  direction?: 'longitudinal' | 'lateral';
  toward?: 'forward' | 'backward';
  nose?: 'down' | 'up' | 'across';
  /** Wheels that slip. */
  locked?: Slipping;
  pullHeightMm?: number;
  /** Of the wheels that roll, or of the air, N. */
  resistanceN?: number;
  radiusM?: number;
  radiusErrorM?: number;
  speedMps?: number;
  speedErrorMps?: number;
  fromMps?: number;
}

/** How far it drifted off its line, left positive, and which way it was driven. */
export interface Drift {
  id: string;
  driftM: number;
  direction?: Direction;
}

export interface StraightSheet {
  distanceM?: number;
  speedMps?: number;
  drifts?: Drift[];
}

/** One circle driven round and round. */
export interface DrivenCircle {
  id: string;
  radiusM: number;
  lapTimeS: number;
  steerDeg: number;
}

export interface CircleSheet {
  circles?: DrivenCircle[];
  /** What was expected of this car before it was driven, degrees over m/s². */
  predictedDegPerMps2?: number;
}

/** One roll-out with the speeds that were read on the way. */
export interface RolledOut {
  id: string;
  direction?: Direction;
  readings: { tS: number; speedMps: number }[];
}

export interface CoastSheet {
  rolls?: RolledOut[];
  /** How well a speed is read. */
  speedErrorMps?: number;
}

/** Distance over which it is usually tried. */
export const USUAL_STRAIGHT_M = 20;

import type { DrivenAxles } from './road';

export interface CarDefinition {
  /** Ready to run with everything on it, kg. */
  massKg: number;
  /** Drag area, m². */
  cdaM2: number;
  /** Lift areas, downforce positive, m². */
  claFrontM2?: number;
  claRearM2?: number;
  /** Rolling force over load. */
  rollingResistance: number;
  /** Static share of the weight on the front axle. */
  frontLoadShare: number;
  cgHeightMm: number;
  wheelbaseMm: number;
  drivenAxles: DrivenAxles;
  /** Everything that turns with the wheels, kg m². */
  wheelInertiaKgM2?: number;
}

export interface MotorDefinition {
  kvRpmPerV: number;
  resistanceMilliOhm: number;
  noLoadCurrentA: number;
  rotorInertiaKgM2?: number;
  /** Equal motors on one pack, one controller each. */
  count?: number;
}

export interface BatteryDefinition {
  /** Cells in series. */
  cells: number;
  cellResistanceMilliOhm: number;
  /** Strings in parallel. */
  parallel?: number;
  /** Of the whole pack. */
  capacityMah: number;
  /** Share. */
  stateOfCharge?: number;
  /** Discharge rating in multiples of the capacity; limits nothing, a note says when it is passed. */
  maxDischargeC?: number;
}

/** How many times larger a tyre is than at rest, at equal steps of the car's speed from 0; the last factor holds beyond. */
export interface Grown {
  stepMps: number;
  factors: readonly number[];
}

/** One run on a straight from rest. */
export interface DriveRunInput {
  car: CarDefinition;
  tyre: { radiusMm: number; mu: number; grown?: Grown };
  /** Motor turns per wheel turn, all stages together, and their efficiency. */
  drive: { ratio: number; efficiency: number };
  motor: MotorDefinition;
  /** Per motor. */
  esc: { currentLimitA: number; resistanceMilliOhm?: number };
  battery: BatteryDefinition;
  airDensityKgM3?: number;
  gradePct?: number;
  /** Duty, share. */
  throttle?: number;
  distanceM?: number;
  maxTimeS?: number;
}

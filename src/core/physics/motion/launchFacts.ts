import { RAD_PER_S_PER_RPM } from '../../base/constants';
import type { DriveRunInput } from './definition';
import { createPlant, tractionN, wheelForceN } from './plant';
import type { DrivenAxles } from './road';
import type { DriveRunResult } from './run';

/** What motor and tyres can do at rest. */
export interface LaunchFacts {
  kvRpmPerV: number;
  /** Torque of an ampere, Nm/A. */
  torquePerAmpere: number;
  /** Number of motors. */
  motors: number;
  noLoadCurrentA: number;
  /** Turns of the motor for one turn of the wheel. */
  ratio: number;
  /** Share of the power that comes out, 0 to 1. */
  efficiency: number;
  radiusMm: number;
  /** Force of the motors at the wheels, N. */
  motorN: number;
  /** Friction coefficient. */
  mu: number;
  drivenAxles: DrivenAxles;
  /** What the tyres pass on, N. */
  tyresN: number;
  massKg: number;
  peakAccelMps2: number;
}

/** Motor and tyres at a standstill, full throttle. Source: DC-motor equations; Gillespie, ch. 2. */
export function launchFacts(input: DriveRunInput, { peakAccelMps2 }: DriveRunResult): LaunchFacts {
  const { car, tyre, motor, drive } = input;
  const plant = createPlant(input);
  return {
    kvRpmPerV: motor.kvRpmPerV,
    torquePerAmpere: 1 / (motor.kvRpmPerV * RAD_PER_S_PER_RPM),
    motors: motor.count ?? 1,
    noLoadCurrentA: motor.noLoadCurrentA,
    ratio: drive.ratio,
    efficiency: drive.efficiency,
    radiusMm: tyre.radiusMm,
    motorN: wheelForceN(plant, 0),
    mu: tyre.mu,
    drivenAxles: car.drivenAxles,
    tyresN: tractionN(plant, 0),
    massKg: car.massKg,
    peakAccelMps2,
  };
}

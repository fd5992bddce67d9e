import type { Figures } from '../fields/figure';
import { HOUSINGS } from '../../physics/heat/thermalDefaults';
import type { ChosenMotor } from './drive';
import { MOTOR_KINDS } from './power';

/** What describes a motor. */
export const MOTOR_FIGURES: Figures<ChosenMotor> = {
  kind: { oneOf: MOTOR_KINDS, optional: true },
  kvRpmPerV: { quantity: 'motorConstant', limits: { above: 0, to: 100_000 } },
  resistanceMilliOhm: { quantity: 'resistanceMilliOhm', limits: { above: 0, to: 1_000_000 } },
  noLoadCurrentA: { quantity: 'currentA', limits: { from: 0, to: 1000 } },
  rotorInertiaKgM2: { quantity: 'inertiaKgM2', limits: { from: 0, to: 1 } },
  maxV: { quantity: 'voltageV', limits: { above: 0, to: 1000 } },
  massG: { quantity: 'massG', limits: { above: 0, to: 100_000 } },
  diameterMm: { quantity: 'lengthMm', limits: { above: 0, to: 1000 } },
  lengthMm: { quantity: 'lengthMm', limits: { above: 0, to: 1000 } },
  housing: { oneOf: HOUSINGS, optional: true },
};

import Joi from 'joi';
import { count, finite, innerShare, notNegative, positive, share } from '../../base/schema/fields';
import type { BatteryDefinition, DriveRunInput, MotorDefinition } from './definition';

export const motorSchema = Joi.object<MotorDefinition>({
  kvRpmPerV: positive().required(),
  resistanceMilliOhm: positive().required(),
  noLoadCurrentA: notNegative().required(),
  rotorInertiaKgM2: notNegative().default(0),
  count: count().default(1),
});

export const batterySchema = Joi.object<BatteryDefinition>({
  cells: count().required(),
  cellResistanceMilliOhm: notNegative().required(),
  parallel: count().default(1),
  capacityMah: positive().required(),
  stateOfCharge: share().default(1),
  maxDischargeC: positive(),
});

/** The car, its drive and the air, without what is done with it. */
export const carFields = {
  car: Joi.object({
    massKg: positive().required(),
    cdaM2: notNegative().required(),
    claFrontM2: finite().default(0),
    claRearM2: finite().default(0),
    rollingResistance: notNegative().required(),
    frontLoadShare: innerShare().required(),
    cgHeightMm: positive().required(),
    wheelbaseMm: positive().required(),
    drivenAxles: Joi.valid('front', 'rear', 'all').required(),
    wheelInertiaKgM2: notNegative().default(0),
  }).required(),
  tyre: Joi.object({ radiusMm: positive().required(), mu: notNegative().required() }).required(),
  drive: Joi.object({ ratio: positive().required(), efficiency: share().required() }).required(),
  motor: motorSchema.required(),
  esc: Joi.object({
    currentLimitA: positive().required(),
    resistanceMilliOhm: notNegative().default(0),
  }).required(),
  battery: batterySchema.required(),
  airDensityKgM3: positive().default(1.2),
  gradePct: finite().default(0),
};

export const driveRunSchema = Joi.object<DriveRunInput>({
  ...carFields,
  throttle: share().default(1),
  distanceM: positive().default(50),
  maxTimeS: positive().default(60),
}).required();

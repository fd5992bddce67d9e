import Joi from 'joi';
import { finite, notNegative, positive, temperatureC } from '../../base/schema/fields';
import type { EnduranceInput } from './enduranceDefinition';
import type { StandstillInput } from './standstill';
import type { CalibrateInput } from './calibrate';
import { driveRunSchema } from '../motion/run.schema';
import type { LossesDefinition } from './losses';
import { STYLES, type TraceSeries } from './trace';
import { HOUSINGS, type MotorBody } from './thermalDefaults';
import { type ThermalDefinition, USUAL_WINDING_LIMIT_C } from './thermal';

export const thermalSchema = Joi.object<ThermalDefinition>({
  windingHeatCapacityJPerK: positive().required(),
  caseHeatCapacityJPerK: positive().required(),
  windingToCaseKPerW: positive().required(),
  caseToAmbientKPerW: positive().required(),
  coolingPerMps: notNegative().default(0),
  ambientC: temperatureC().required(),
  windingLimitC: temperatureC().default(USUAL_WINDING_LIMIT_C),
  caseLimitC: temperatureC(),
});

export const cycleSchema = Joi.object({
  cruiseMps: positive().required(),
  cruiseS: notNegative().required(),
  restS: notNegative().default(0),
});

const MOST_POINTS = 200_000;
const times = () => Joi.array().items(notNegative()).max(MOST_POINTS);

const seriesSchema = Joi.object<TraceSeries>({
  tS: times().required(),
  speedMps: times().required(),
  gradePct: Joi.array().items(finite()).max(MOST_POINTS),
  lateralMps2: times(),
});

/** Which form a cycle has follows from its key; what belongs to another form is an unknown field. */
const anyCycle = Joi.alternatives().conditional(Joi.object({ series: Joi.exist() }).unknown(), {
  then: Joi.object({ series: seriesSchema.required() }),
  otherwise: Joi.alternatives().conditional(Joi.object({ style: Joi.exist() }).unknown(), {
    then: Joi.object({ style: Joi.valid(...STYLES).required() }),
    otherwise: cycleSchema,
  }),
});

export const lossesSchema = Joi.object<LossesDefinition>({
  drivelineDrag: notNegative(),
  corneringPerRad: positive(),
  slipAtLimitPct: notNegative(),
  freewheelV: notNegative(),
  inductanceMicroH: positive(),
  pwmKHz: positive(),
  auxiliaryA: notNegative(),
  brakingHeatShare: Joi.number().min(0).max(1),
});

const enduranceFields = {
  thermal: thermalSchema.required(),
  cycle: anyCycle.required(),
  losses: Joi.when('cycle', {
    is: Joi.object({
      cruiseMps: Joi.exist(),
      style: Joi.forbidden(),
      series: Joi.forbidden(),
    }).unknown(),
    then: Joi.forbidden(),
    otherwise: lossesSchema,
  }),
  cutoffVPerCell: finite().min(0).max(4.2).default(3.3),
  maxDurationS: positive().max(86_400).default(7200),
};

export const driveEnduranceSchema = (driveRunSchema as Joi.ObjectSchema).keys(
  enduranceFields,
) as Joi.ObjectSchema<EnduranceInput>;

export const driveStandstillSchema = (driveRunSchema as Joi.ObjectSchema).keys({
  breakawayN: notNegative().default(0),
  throttles: Joi.array().items(finite().min(0).max(1)).min(1).max(200),
  thermal: thermalSchema,
}) as Joi.ObjectSchema<StandstillInput>;

export const motorThermalDefaultsSchema = Joi.object<MotorBody>({
  massG: positive().required(),
  diameterMm: positive().required(),
  lengthMm: positive().required(),
  housing: Joi.valid(...HOUSINGS).required(),
}).required();

export const motorCalibrateSchema = (driveRunSchema as Joi.ObjectSchema).keys({
  ...enduranceFields,
  measured: Joi.array()
    .items(Joi.object({ tS: positive().max(86_400).required(), caseC: temperatureC().required() }))
    .min(1)
    .max(1000)
    .required(),
}) as Joi.ObjectSchema<CalibrateInput>;

import Joi from 'joi';
import { BODIES } from '../../physics/cooling/airflow';
import { FAN_BLOWS } from '../../physics/cooling/caseCooling';
import { HOUSINGS } from '../../physics/heat/thermalDefaults';
import { identifier, notNegative, temperatureC } from '../../base/schema/fields';
import { positive } from '../fields/physical';
import { DUTIES, type Heat, type OwnTrace, MOUNT_MATERIALS, PINION_JOINTS } from './heat';

const MOST_STEPS = 1000;

export const heatSchema = Joi.object<Heat>({
  housing: Joi.valid(...HOUSINGS),
  body: Joi.valid(...BODIES),
  sinkFinMm: positive().max(100),
  sinkLengthMm: positive().max(1000),
  sinkFins: Joi.number().integer().min(2).max(200),
  fanM3PerH: positive().max(500),
  fanSizeMm: positive().max(500),
  fanBlows: Joi.valid(...FAN_BLOWS),
  fanA: notNegative().max(20),
  ambientC: temperatureC(),
  windingLimitC: temperatureC(),
  pinionJoint: Joi.valid(...PINION_JOINTS),
  mountMaterial: Joi.valid(...MOUNT_MATERIALS),
  duty: Joi.valid(...DUTIES),
  cruiseMps: positive().max(150),
  cruiseS: notNegative().max(7200),
  restS: notNegative().max(7200),
  trace: Joi.object<OwnTrace>({
    name: Joi.string().trim().min(1).max(120).required(),
    stepS: positive().max(60).required(),
    speedMps: Joi.array().items(notNegative().max(150)).min(2).max(MOST_STEPS).required(),
    lateralMps2: Joi.array().items(notNegative().max(100)).length(Joi.ref('speedMps.length')).required(),
  }),
  readings: Joi.array()
    .items(
      Joi.object({
        id: identifier().required(),
        minutes: positive().max(120).required(),
        caseC: temperatureC().required(),
      }),
    )
    .max(20)
    .unique('id'),
  calibration: Joi.object({
    diameterMm: positive().max(1000).required(),
    lengthMm: positive().max(1000).required(),
    factor: positive().max(1000).required(),
    residualC: notNegative().max(400).required(),
  }),
});

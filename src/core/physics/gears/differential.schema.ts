import Joi from 'joi';
import { notNegative, positive } from '../../base/schema/fields';
import { type DifferentialInput, DIFFERENTIALS, USUAL_BIAS } from './differential';

export const drivetrainDifferentialSchema = Joi.object<DifferentialInput>({
  kind: Joi.valid(...DIFFERENTIALS).required(),
  biasRatio: positive().greater(1).default(USUAL_BIAS),
  axleTorqueNm: notNegative().required(),
  wheelLoadN: Joi.array().items(notNegative()).length(2).required(),
  mu: notNegative().required(),
  tyreRadiusMm: positive().required(),
  trackMm: positive().required(),
  cornerRadiusM: positive(),
  clutchNm: notNegative(),
  clutchToAxleRatio: positive().default(1),
  skid: Joi.object({
    massKg: positive().required(),
    wheelbaseMm: positive().required(),
    wheelSpeedMps: notNegative().required(),
  }),
}).required();

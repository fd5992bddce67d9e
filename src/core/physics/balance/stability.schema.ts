import Joi from 'joi';
import { finite, notNegative, positive } from '../../base/schema/fields';
import type { StabilityInput } from './stability';

export const chassisStabilitySchema = Joi.object<StabilityInput>({
  wheelbaseMm: positive().required(),
  trackFrontMm: positive().required(),
  trackRearMm: positive().required(),
  cgMm: Joi.array().items(finite()).length(3).required(),
  massG: positive().required(),
  mu: notNegative().required(),
  cornerRadiusM: positive(),
  cdaM2: notNegative().default(0),
  claFrontM2: finite().default(0),
  claRearM2: finite().default(0),
  speedMps: notNegative().default(0),
}).required();

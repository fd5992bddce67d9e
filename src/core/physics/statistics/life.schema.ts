import Joi from 'joi';
import { finite, innerShare, positive } from '../../base/schema/fields';
import type { LifeInput } from './life';

export const lifeEstimateSchema = Joi.object<LifeInput>({
  exposureHours: positive().required(),
  failures: finite().integer().min(0).max(1e6).required(),
  confidence: innerShare().default(0.9),
}).required();

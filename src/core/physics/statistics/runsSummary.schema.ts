import Joi from 'joi';
import { finite } from '../../base/schema/fields';
import type { RunsSummaryInput } from './runsSummary';

export const runsSummarySchema = Joi.object<RunsSummaryInput>({
  values: Joi.array().items(finite()).min(1).max(100_000).required(),
}).required();

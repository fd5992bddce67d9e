import Joi from 'joi';
import { finite } from '../../base/schema/fields';
import type { RunsCompareInput } from './runsCompare';

const values = () => Joi.array().items(finite()).min(1).max(100_000).required();

export const runsCompareSchema = Joi.object<RunsCompareInput>({
  a: values(),
  b: values(),
  better: Joi.valid('higher', 'lower').required(),
}).required();

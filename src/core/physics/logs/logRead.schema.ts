import Joi from 'joi';
import { finite, notNegative, positive } from '../../base/schema/fields';
import { SEPARATORS } from './cells';
import type { LogReadInput, OneLog } from './logRead';

const MOST_CHARACTERS = 100_000_000;

const oneLog = () => ({
  text: Joi.string().allow('').max(MOST_CHARACTERS),
  columns: Joi.object().pattern(Joi.string(), Joi.array().items(finite()).max(2_000_000)),
  separator: Joi.valid(...SEPARATORS),
  decimal: Joi.valid('.', ','),
  roles: Joi.object().pattern(Joi.string(), Joi.string()).default({}),
});

export const logReadSchema = Joi.object<LogReadInput>({
  ...oneLog(),
  resampleHz: positive().max(1000),
  second: Joi.object<OneLog>(oneLog()),
  maxOffsetS: notNegative().max(3600).default(30),
}).required();

import Joi from 'joi';
import { positive, temperatureC } from '../../base/schema/fields';
import { makeFields } from './make.schema';
import type { TyreSpinInput } from './tyreSpin';

export const tyreSpinSchema = Joi.object<TyreSpinInput>({
  ...makeFields(),
  temperatureC: temperatureC(),
  use: Joi.valid('bench', 'road'),
  sinkMm: positive(),
  rpm: positive(),
  speedMps: positive(),
})
  .xor('rpm', 'speedMps')
  .required();

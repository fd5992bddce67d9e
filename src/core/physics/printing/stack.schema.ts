import Joi from 'joi';
import { finite, notNegative, positive, text } from '../../base/schema/fields';
import type { StackInput } from './stack';

export const fitStackSchema = Joi.object<StackInput>({
  bearings: Joi.object({
    spacingMm: positive().required(),
    clearanceMm: Joi.array().items(notNegative()).length(2).required(),
    radiusMm: positive().required(),
  }),
  chain: Joi.array()
    .items(
      Joi.object({
        name: text(80).required(),
        nominalMm: finite().required(),
        plusMinusMm: notNegative().required(),
      }),
    )
    .min(1)
    .max(200),
})
  .or('bearings', 'chain')
  .required();

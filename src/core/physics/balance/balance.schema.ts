import Joi from 'joi';
import { finite, notNegative, ownId, positive } from '../../base/schema/fields';
import type { BalanceInput } from './balance';

export const chassisBalanceSchema = Joi.object<BalanceInput>({
  wheelbaseMm: positive().required(),
  trackFrontMm: positive().required(),
  trackRearMm: positive().required(),
  components: Joi.array()
    .items(
      Joi.object({
        id: ownId().required(),
        massG: positive().required(),
        xMm: finite().required(),
        yMm: finite().required(),
        zMm: finite().required(),
        sizeMm: Joi.array().items(notNegative()).length(3),
        sprung: Joi.boolean().default(true),
      }),
    )
    .min(1)
    .max(500)
    .unique('id')
    .required(),
}).required();

import Joi from 'joi';
import { count, notNegative, ownId, positive } from '../../base/schema/fields';
import type { PlatesInput } from './plates';

export const printPlatesSchema = Joi.object<PlatesInput>({
  bedMm: Joi.array().items(positive()).length(2).required(),
  heightMm: positive().required(),
  spacingMm: notNegative().default(5),
  parts: Joi.array()
    .items(
      Joi.object({
        id: ownId().required(),
        sizeMm: Joi.array().items(positive()).length(3).required(),
        quantity: count().max(500).default(1),
        mayTurn: Joi.boolean().default(true),
      }),
    )
    .min(1)
    .max(500)
    .unique('id')
    .required(),
}).required();

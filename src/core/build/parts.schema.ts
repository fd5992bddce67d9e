import Joi from 'joi';
import { identifier, positive, text } from '../schema/fields';
import { type Part, PART_KINDS, type Parts } from './parts';

export const partsSchema = Joi.object<Parts>({
  items: Joi.array()
    .items(Joi.object<Part>({ id: identifier().required(), name: text(80).required(), kind: Joi.valid(...PART_KINDS).required(), massG: positive().max(100_000) }))
    .max(500)
    .unique('id')
    .required(),
});

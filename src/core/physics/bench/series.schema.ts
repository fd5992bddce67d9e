import Joi from 'joi';
import { finite } from '../../base/schema/fields';
import { SERIES_SHAPES, type SeriesInput } from './series';

export const seriesFitSchema = Joi.object<SeriesInput>({
  points: Joi.array()
    .items(
      Joi.object({ x: finite().required(), values: Joi.array().items(finite()).min(1).max(1000).required() }),
    )
    .min(2)
    .max(200)
    .required(),
  better: Joi.valid('higher', 'lower').required(),
  shape: Joi.valid(...SERIES_SHAPES),
  confidence: Joi.number().greater(0).less(1).default(0.95),
  candidates: Joi.array().items(finite()).min(1).max(10_000),
  limits: Joi.object({ min: finite(), max: finite() }).default({}),
}).required();

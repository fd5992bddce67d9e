import Joi from 'joi';
import { finite, notNegative, positive, temperatureC, text } from '../../base/schema/fields';
import { LAYERS } from '../strength/allowable';
import { SIZES_OF } from './lightest';
import type { LightestShape, PartLightestInput } from './lightestDefinition';
import { strengthMaterialSchema } from '../strength/strength.schema';

const MOST_VALUES = 1000;
const values = () =>
  Joi.alternatives()
    .conditional(Joi.array(), { then: Joi.array().items(positive()).min(1).max(MOST_VALUES) })
    .conditional(Joi.object().unknown(), {
      then: Joi.object({
        from: positive().required(),
        to: positive().min(Joi.ref('from')).required(),
        step: positive().required(),
      }),
      otherwise: positive(),
    });
const SHAPES = Object.keys(SIZES_OF) as LightestShape[];
const sizes = Object.fromEntries(
  [...new Set(SHAPES.flatMap((shape) => SIZES_OF[shape]))].map((size) => [
    size,
    values().when('shape', {
      is: Joi.valid(...SHAPES.filter((shape) => SIZES_OF[shape].includes(size))),
      then: Joi.required(),
      otherwise: Joi.forbidden(),
    }),
  ]),
);

export const partLightestSchema = Joi.object<PartLightestInput>({
  support: Joi.valid('cantilever', 'simple', 'fixed').required(),
  lengthMm: positive().required(),
  cases: Joi.array()
    .items(
      Joi.object({
        name: text(80).required(),
        forceN: notNegative().required(),
        direction: Joi.array().items(finite()).length(2).required(),
        atMm: positive(),
        axialN: finite().default(0),
        temperatureC: temperatureC().default(23),
      }),
    )
    .min(1)
    .max(100)
    .required(),
  materials: Joi.array()
    .items(
      Joi.object({
        id: text(80).required(),
        material: strengthMaterialSchema.keys({ densityGPerCm3: positive().required() }).required(),
      }),
    )
    .min(1)
    .max(50)
    .required(),
  layers: Joi.array()
    .items(Joi.valid(...LAYERS))
    .unique()
    .min(1)
    .required(),
  sections: Joi.array()
    .items(Joi.object({ shape: Joi.valid(...SHAPES).required(), ...sizes }))
    .min(1)
    .max(50)
    .required(),
  marginWanted: positive().default(2),
  deflectionMaxMm: positive(),
}).required();

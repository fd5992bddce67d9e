import Joi from 'joi';
import { count, finite, positive, temperatureC } from '../../base/schema/fields';
import { LAYERS } from './allowable';
import type { PrintedSectionInput } from './printedSectionDefinition';
import { strengthMaterialSchema } from './strength.schema';

const whole = () => finite().integer().min(0);
const percent = () => finite().min(0).max(100);
const exponent = () => finite().min(1).max(3).default(1.5);
const values = (one: () => Joi.NumberSchema, step: () => Joi.NumberSchema = positive) =>
  Joi.alternatives().conditional(Joi.array(), {
    then: Joi.array().items(one()).min(1),
    otherwise: Joi.object({
      from: one().required(),
      to: one().min(Joi.ref('from')).required(),
      step: step().required(),
    }),
  });

export const sectionPrintedSchema = Joi.object<PrintedSectionInput>({
  widthMm: positive().required(),
  heightMm: positive().required(),
  lengthMm: positive(),
  settings: Joi.object({
    lineWidthMm: positive().default(0.4),
    layerMm: positive().default(0.2),
    perimeters: whole().required(),
    topBottomLayers: whole().default(4),
    infillPct: percent().required(),
  }).required(),
  layers: Joi.valid(...LAYERS).required(),
  buildAxis: Joi.valid('x', 'y'),
  core: Joi.object({ modulusExponent: exponent(), strengthExponent: exponent() }),
  material: strengthMaterialSchema.keys({ densityGPerCm3: positive().required() }).required(),
  temperatureC: temperatureC().default(23),
  load: Joi.object({
    momentXNmm: finite(),
    momentYNmm: finite(),
    shearXN: finite(),
    shearYN: finite(),
    torqueNmm: finite(),
    axialN: finite(),
  }).required(),
  search: Joi.object({
    margin: positive().required(),
    perimeters: values(whole, count).required(),
    infillPct: values(percent).required(),
    heightMm: values(positive).required(),
  }),
}).required();

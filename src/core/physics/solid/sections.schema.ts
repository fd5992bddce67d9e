import Joi from 'joi';
import { count, finite, positive, share, temperatureC } from '../../base/schema/fields';
import { strengthMaterialSchema } from '../strength/strength.schema';
import { direction, meshSchema } from './measure.schema';
import type { OrientInput } from './orient';
import type { SectionsInput } from './sectionsDefinition';

const vector = () => Joi.array().items(finite()).length(3);
const axis = () =>
  Joi.alternatives().conditional('.', {
    is: Joi.array(),
    then: direction(),
    otherwise: Joi.valid('x', 'y', 'z'),
  });
const load = () => Joi.object({ forceN: vector().required(), atMm: vector().required() });
const heldEnd = () => Joi.valid('min', 'max');

export const meshSectionsSchema = Joi.object<SectionsInput>({
  mesh: meshSchema.required(),
  axis: axis().required(),
  stations: count().max(2000).default(50),
  load: load().required(),
  heldEnd: heldEnd(),
  material: strengthMaterialSchema.required(),
  buildDirection: direction().default([0, 0, 1]),
  fill: share().default(1),
  temperatureC: temperatureC().default(23),
}).required();

export const meshOrientSchema = Joi.object<OrientInput>({
  mesh: meshSchema.required(),
  buildDirection: direction(),
  overhangDeg: finite().greater(0).max(90).default(45),
  densityGPerCm3: positive(),
  axis: axis(),
  load: load(),
  heldEnd: heldEnd(),
  material: strengthMaterialSchema,
  fill: share().default(1),
  temperatureC: temperatureC().default(23),
})
  .with('load', 'material')
  .required();

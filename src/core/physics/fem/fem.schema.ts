import Joi from 'joi';
import { count, finite, positive, share, temperatureC } from '../../base/schema/fields';
import { strengthMaterialSchema } from '../strength/strength.schema';
import { direction, meshSchema } from '../solid/measure.schema';
import type { FemInput } from './definition';

const point = () => Joi.array().items(finite()).length(3);
const box = { min: point().required(), max: point().required() };

export const meshFemSchema = Joi.object<FemInput>({
  mesh: meshSchema.required(),
  voxelMm: positive(),
  targetVoxels: count().min(8),
  material: strengthMaterialSchema.required(),
  buildDirection: direction().required(),
  fixed: Joi.array().items(Joi.object(box)).min(1).max(200).required(),
  loads: Joi.array()
    .items(Joi.object({ ...box, forceN: point().required() }))
    .min(1)
    .max(200)
    .required(),
  shell: Joi.object({
    wallMm: positive().required(),
    infill: share().required(),
    exponent: positive().default(1.5),
  }),
  tolerance: finite().min(1e-12).max(0.1).default(1e-6),
  temperatureC: temperatureC().default(23),
  field: Joi.boolean(),
})
  .xor('voxelMm', 'targetVoxels')
  .required();

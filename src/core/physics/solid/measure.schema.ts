import Joi from 'joi';
import { finite, positive } from '../../base/schema/fields';
import type { Vec3 } from '../../base/vec3';
import type { MeasureInput } from './measure';
import type { MeshText } from '../meshFiles/readMesh';

export const meshSchema = Joi.object<MeshText>({
  stlBase64: Joi.string(),
  threeMfBase64: Joi.string(),
  objText: Joi.string(),
}).xor('stlBase64', 'threeMfBase64', 'objText');

const NO_DIRECTION = 1e-12;

/** Three numbers that are not all 0. */
export const direction = () =>
  Joi.array()
    .items(finite())
    .length(3)
    .custom((value: Vec3, helpers) =>
      Math.hypot(...value) < NO_DIRECTION ? helpers.error('any.invalid') : value,
    )
    .messages({ 'any.invalid': 'is no direction: all three numbers are 0' });

export const meshMeasureSchema = Joi.object<MeasureInput>({
  mesh: meshSchema.required(),
  buildDirection: direction().default([0, 0, 1]),
  overhangDeg: finite().greater(0).max(90).default(45),
  densityGPerCm3: positive().default(1.24),
}).required();

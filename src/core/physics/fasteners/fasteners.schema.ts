import Joi from 'joi';
import { finite, positive, temperatureC, text } from '../../base/schema/fields';
import { BOSS_KINDS } from '../strength/boss';
import { strengthMaterialSchema } from '../strength/strength.schema';
import type { FastenerShareInput } from './definition';

const point = (length: 2 | 3) => Joi.array().items(finite()).length(length);

export const fastenerShareSchema = Joi.object<FastenerShareInput>({
  screws: Joi.array()
    .items(
      Joi.object({
        id: text(60).required(),
        xMm: finite().required(),
        yMm: finite().required(),
        diameterMm: positive().required(),
        kind: Joi.valid(...BOSS_KINDS).required(),
        engagementMm: positive().when('kind', {
          is: 'throughBolt',
          then: Joi.optional(),
          otherwise: Joi.required(),
        }),
        insertDiameterMm: positive(),
        washerDiameterMm: positive().greater(Joi.ref('diameterMm')),
        nutAcrossFlatsMm: positive().greater(Joi.ref('diameterMm')),
        stressAreaMm2: positive(),
      }),
    )
    .min(1)
    .max(100)
    .required(),
  thicknessMm: positive().required(),
  wallMm: positive().default(3),
  load: Joi.object({
    forceN: point(3).required(),
    atMm: point(3).required(),
    momentNmm: point(3).default([0, 0, 0]),
  }).required(),
  material: strengthMaterialSchema.required(),
  layers: Joi.valid('acrossAxis', 'alongAxis').required(),
  temperatureC: temperatureC().default(23),
  screwTensileMpa: positive().default(700),
  plate: Joi.object({ minMm: point(2).required(), maxMm: point(2).required() }),
}).required();

import Joi from 'joi';
import { notNegative, ownId, positive } from '../../base/schema/fields';
import { makeFields } from './make.schema';
import { SPIN_OUTCOMES, type SpunTyre, type TyreFitInput } from './tyreFit';

export const tyreFitSchema = Joi.object<TyreFitInput>({
  tyres: Joi.array()
    .items(
      Joi.object<SpunTyre>({
        id: ownId().required(),
        ...makeFields(),
        readings: Joi.array()
          .items(Joi.object({ rpm: notNegative().required(), diameterMm: positive().required() }))
          .max(1000),
        outcomes: Joi.array()
          .items(
            Joi.object({
              rpm: positive().required(),
              outcome: Joi.valid(...SPIN_OUTCOMES).required(),
            }),
          )
          .max(1000),
      }),
    )
    .min(1)
    .max(50)
    .required(),
  diameterErrorMm: positive().default(0.2),
  wishRpm: positive(),
  confidence: Joi.number().greater(0).less(1).default(0.9),
  scatter: positive().max(1).default(0.1),
}).required();

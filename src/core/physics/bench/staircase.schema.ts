import Joi from 'joi';
import { identifier, ownId, positive } from '../../base/schema/fields';
import type { Blow } from './blow';
import type { StaircaseInput, StaircaseVariant } from './staircase';

const blow = Joi.object<Blow>({
  energyJ: positive(),
  dropMassKg: positive(),
  heightMm: positive(),
  hammerKg: positive(),
  armMm: positive(),
  angleDeg: positive().max(180),
  broke: Joi.boolean().required(),
  part: ownId(),
});

export const impactStaircaseSchema = Joi.object<StaircaseInput>({
  variants: Joi.array()
    .items(
      Joi.object<StaircaseVariant>({
        id: identifier().required(),
        blows: Joi.array().items(blow).min(1).max(1000).required(),
      }),
    )
    .min(1)
    .max(20)
    .required(),
  confidence: Joi.number().greater(0).less(1).default(0.9),
  carMassKg: positive(),
  massShare: positive().max(1).default(1),
  predicted: Joi.object({ energyJ: positive(), breakForceN: positive(), stiffnessNPerMm: positive() }),
}).required();

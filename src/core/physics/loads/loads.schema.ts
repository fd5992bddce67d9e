import Joi from 'joi';
import { finite, innerShare, notNegative, positive } from '../../base/schema/fields';
import { FORCE_AT, type ImpactInput } from './impactDefinition';

const motionRatio = () =>
  Joi.alternatives().conditional(Joi.object().unknown(), {
    then: Joi.object({
      travelMm: Joi.array().items(finite()).min(2).max(1000).required(),
      ratio: Joi.array().items(positive()).min(2).max(1000).required(),
    }),
    otherwise: positive(),
  });

export const landingImpactSchema = Joi.object<ImpactInput>({
  dropM: notNegative().required(),
  wheels: Joi.valid(1, 2, 4).default(4),
  sprungMassG: positive().required(),
  unsprungMassG: positive().required(),
  loadShare: innerShare(),
  inertia: Joi.object({
    aheadMm: positive().required(),
    pitchKgM2: positive().required(),
    besideMm: positive(),
    rollKgM2: positive(),
  }),
  tyre: Joi.object({
    rateNPerMm: positive().required(),
    dampingNsPerM: notNegative().default(0),
    rimAtMm: notNegative(),
    rimNPerMm: positive(),
  }).required(),
  suspension: Joi.object({
    springNPerMm: positive().required(),
    preloadMm: notNegative().default(0),
    motionRatio: motionRatio().required(),
    wheelTravelMm: positive().required(),
    damperNsPerM: notNegative().default(0),
    reboundNsPerM: notNegative(),
    packNs2PerM2: notNegative().default(0),
    bumpStop: Joi.object({
      rateNPerMm: notNegative().default(20),
      crushMm: notNegative().default(4),
      solidNPerMm: notNegative().default(500),
    }),
  }),
  electronics: Joi.object({ mountHz: positive().required(), dampingRatio: notNegative().default(0.1) }),
  forceN: positive(),
  forceAt: Joi.valid(...FORCE_AT),
}).required();

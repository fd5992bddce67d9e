import Joi from 'joi';
import { count, finite, innerShare, notNegative, positive, share, text } from '../../base/schema/fields';
import type { BriefDemandInput } from './demand';

export const briefDemandSchema = Joi.object<BriefDemandInput>({
  targetMps: positive().required(),
  massKg: positive().required(),
  cdaM2: notNegative().required(),
  claFrontM2: finite().default(0),
  claRearM2: finite().default(0),
  tyreRadiusMm: positive().required(),
  drivenAxles: Joi.valid('front', 'rear', 'all').required(),
  frontLoadShare: innerShare().required(),
  cgHeightMm: positive().required(),
  wheelbaseMm: positive().required(),
  surfaces: Joi.array()
    .min(1)
    .items(
      Joi.object({
        id: text(64).required(),
        mu: notNegative().required(),
        rollingResistance: notNegative().required(),
      }),
    )
    .required(),
  ratio: positive(),
  runTimeMinutes: positive(),
  meanSpeedShare: share().default(0.6),
  drivelineEfficiency: share().default(0.8),
  motorEfficiency: share().default(0.75),
  cells: count(),
}).required();

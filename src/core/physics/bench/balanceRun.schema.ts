import Joi from 'joi';
import { finite, notNegative, positive } from '../../base/schema/fields';
import type { BalanceRunInput } from './balanceRun';

export const wheelBalanceRunSchema = Joi.object<BalanceRunInput>({
  amplitude: positive().required(),
  trialMassG: positive().required(),
  trialRadiusMm: positive().required(),
  correctionRadiusMm: positive(),
  runs: Joi.array()
    .items(Joi.object({ angleDeg: finite().required(), amplitude: notNegative().required() }))
    .max(100)
    .required(),
  amplitudeErrorPct: notNegative().max(50).default(5),
  massG: positive(),
  rpm: positive(),
  gradeMmps: positive().default(40),
  positionsDeg: Joi.array().items(finite()).min(2).max(100),
  amplitudeAfter: notNegative(),
}).required();

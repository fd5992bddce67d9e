import Joi from 'joi';
import { notNegative, positive } from '../../base/schema/fields';
import type { BalanceInput } from './balance';

export const wheelBalanceSchema = Joi.object<BalanceInput>({
  massG: positive().required(),
  imbalanceGmm: notNegative(),
  eccentricityMm: notNegative(),
  rpm: notNegative().required(),
  correctionRadiusMm: positive().required(),
})
  .xor('imbalanceGmm', 'eccentricityMm')
  .required();

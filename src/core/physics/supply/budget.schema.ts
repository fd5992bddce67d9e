import Joi from 'joi';
import { count, notNegative, ownId, positive, share } from '../../base/schema/fields';
import { type BudgetInput, LOAD_KINDS, RAIL_KINDS } from './budgetDefinition';

const rail = Joi.object({
  id: ownId().required(),
  from: ownId().required(),
  kind: Joi.valid(...RAIL_KINDS).required(),
  setV: positive().when('kind', { is: 'direct', then: Joi.forbidden(), otherwise: Joi.required() }),
  dropoutV: notNegative(),
  minInV: notNegative(),
  maxInV: positive().when('minInV', { is: Joi.exist(), then: Joi.number().min(Joi.ref('minInV')) }),
  continuousA: positive().required(),
  peakA: positive(),
  efficiency: share().default(0.9),
});

const load = Joi.object({
  id: ownId().required(),
  kind: Joi.valid(...LOAD_KINDS).default('other'),
  rail: ownId().required(),
  minV: notNegative().required(),
  maxV: positive().min(Joi.ref('minV')).required(),
  typicalA: notNegative().required(),
  peakA: notNegative().required(),
  peaksTogether: Joi.boolean().default(true),
});

export const powerBudgetSchema = Joi.object<BudgetInput>({
  battery: Joi.object({
    cells: count().required(),
    parallel: count().default(1),
    capacityMah: positive().required(),
    cellResistanceMilliOhm: notNegative().default(0),
    maxDischargeC: positive(),
    chargedVPerCell: positive().default(4.2),
    cutoffVPerCell: positive().default(3.3),
  }).required(),
  motorPeakA: notNegative().default(0),
  rails: Joi.array().items(rail).max(100).required(),
  loads: Joi.array().items(load).max(300).required(),
}).required();

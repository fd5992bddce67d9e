import Joi from 'joi';
import { finite, notNegative, temperatureC } from '../../base/schema/fields';
import { type DiagnoseInput, OUTCOMES } from './diagnose';

const id = () => Joi.string().max(60);

export const failureDiagnoseSchema = Joi.object<DiagnoseInput>({
  mode: id().required(),
  partKind: id(),
  clues: Joi.array().items(id()).max(60).default([]),
  conditions: Joi.object({
    surface: id(),
    stateOfCharge: finite().min(0).max(1),
    motorCaseC: temperatureC(),
    ambientC: temperatureC(),
    wet: Joi.boolean(),
    impactMps: notNegative(),
    extraMassG: notNegative(),
  }).default({}),
  margins: Joi.object().pattern(Joi.string().max(120), notNegative()).default({}),
  history: Joi.object({
    hours: notNegative(),
    repaired: Joi.boolean(),
    crackedBefore: Joi.boolean(),
    sameModeBefore: Joi.boolean(),
    changesSinceGood: Joi.array().items(id()).max(30),
  }).default({}),
  outcomes: Joi.array()
    .items(Joi.object({ check: id().required(), result: Joi.valid(...OUTCOMES).required() }))
    .max(100)
    .default([]),
}).required();

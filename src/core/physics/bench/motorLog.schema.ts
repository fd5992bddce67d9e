import Joi from 'joi';
import { finite, notNegative, positive, share } from '../../base/schema/fields';
import type { LogMotorInput } from './motorLog';

const duty = () => share().default(1);
const reading = Joi.object({
  voltageV: positive().required(),
  rpm: notNegative().required(),
  currentA: notNegative().required(),
  duty: duty(),
});
const column = () => Joi.array().items(finite()).max(500_000);

export const logMotorSchema = Joi.object<LogMotorInput>({
  currentIs: Joi.valid('motor', 'battery').default('motor'),
  freeSpin: Joi.array().items(reading).max(10_000).default([]),
  loaded: Joi.array().items(reading).max(10_000).default([]),
  locked: Joi.array()
    .items(Joi.object({ voltageV: positive().required(), currentA: notNegative().required(), duty: duty() }))
    .max(10_000)
    .default([]),
  log: Joi.object({
    voltageV: column().required(),
    currentA: column().required(),
    rpm: column().required(),
    duty: column(),
  }),
  meterMilliOhm: positive(),
  meterErrorMilliOhm: positive(),
  coastDown: Joi.object({ tS: column().min(3).required(), rpm: column().min(3).required() }),
  wheel: Joi.object({
    samples: Joi.array()
      .items(
        Joi.object({ motorRpm: notNegative().required(), wheelRpm: notNegative(), speedMps: notNegative() }),
      )
      .min(1)
      .max(500_000)
      .required(),
    ratio: positive(),
    tyreRadiusMm: positive(),
  }),
}).required();

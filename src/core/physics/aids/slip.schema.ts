import Joi, { type ObjectSchema } from 'joi';
import { driveRunSchema } from '../motion/run.schema';
import { count, finite, notNegative, positive } from '../../base/schema/fields';
import type { TractionInput } from './slipDefinition';

const ofRun = (key: string) => driveRunSchema.extract(key) as ObjectSchema;

export const slipTyreSchema = Joi.object({
  radiusMm: positive().required(),
  muPeak: positive().required(),
  slipAtPeakPct: positive().max(100).required(),
  shape: positive().greater(1).less(2).default(1.4),
});

export const tractionAssistSchema = Joi.object<TractionInput>({
  car: ofRun('car').required(),
  tyre: slipTyreSchema.required(),
  drive: ofRun('drive').required(),
  motor: ofRun('motor').required(),
  esc: ofRun('esc').required(),
  battery: ofRun('battery').required(),
  sensor: Joi.object({
    magnets: count().max(1000).required(),
    wheelDiameterFrontMm: positive(),
    falsePulseRate: notNegative().max(1).default(0),
  }).required(),
  controller: Joi.object({
    targetSlipPct: notNegative().required(),
    gainUsPerPct: notNegative().required(),
    frameMs: finite().min(0.1).max(1000).default(20),
    releaseUsPerMs: positive(),
    mostAccelMps2: positive(),
  }).required(),
  distanceM: positive().max(10_000).required(),
  seed: Joi.number()
    .integer()
    .min(0)
    .max(2 ** 32 - 1)
    .default(1),
  targets: Joi.array().items(notNegative()).min(1).max(200),
}).required();

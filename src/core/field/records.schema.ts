import Joi from 'joi';
import { documentSchema } from '../build/document.schema';
import { count, finite, identifier, notNegative, positive, temperatureC, text } from '../schema/fields';
import { FAILURE_MODES } from './failureModes';
import { type Attempt, type Conditions, type FailureSheet, RUN_KINDS, type RunSetting, type RunSheet } from './records';

const moment = () => Joi.string().isoDate();
const modes = FAILURE_MODES.map(({ id }) => id);

const attemptSchema = Joi.object<Attempt>({
  id: identifier().required(),
  timeS: positive(),
  frames: count(),
  captureFps: positive(),
  clipTimeS: positive(),
  slowdown: positive(),
})
  .xor('timeS', 'frames', 'clipTimeS')
  .with('frames', 'captureFps')
  .with('clipTimeS', 'slowdown');

const conditionsSchema = Joi.object<Conditions>({
  surfaceId: identifier().required(),
  surfaceName: text(80).required(),
  distanceM: positive().max(100_000).required(),
  distanceErrorM: notNegative(),
  runUpM: notNegative().max(100_000),
  ambientC: temperatureC(),
  packVBefore: positive().max(1000),
  packVAfter: positive().max(1000),
  extraMassG: finite().min(-100_000).max(100_000),
  settings: Joi.array().items(Joi.object<RunSetting>({ name: text(60).required(), value: finite().required(), unit: text(20) })).max(60).unique('name'),
});

export const runSheetFields = {
  id: identifier().required(),
  kind: Joi.valid(...RUN_KINDS).required(),
  attempts: Joi.array().items(attemptSchema).min(1).max(200).unique('id').required(),
  conditions: conditionsSchema.required(),
  drivenMinutes: notNegative().max(10_000),
  note: text(2000),
  ranAt: moment().required(),
  document: documentSchema,
};

export const runSheetSchema = Joi.object<RunSheet>(runSheetFields).required();

export const failureSheetFields = {
  id: identifier().required(),
  mode: Joi.valid(...modes).required(),
  partId: identifier(),
  partName: text(80).required(),
  runId: identifier(),
  hours: notNegative().max(100_000),
  story: text(4000),
  occurredAt: moment().required(),
  fix: text(2000),
  fixRevisionId: identifier(),
};

export const failureSheetSchema = Joi.object<FailureSheet>(failureSheetFields).required();

export const predictionSchema = Joi.object({
  timeS: positive().required(),
  timeErrorS: notNegative().required(),
  speedMps: positive().required(),
  speedErrorMps: notNegative().required(),
  topSpeedMps: notNegative(),
  massKg: positive().required(),
});

import Joi from 'joi';
import { finite, notNegative, positive } from '../../base/schema/fields';
import type { YawInput } from './yawDefinition';
import { USUAL_DURATION_S } from './yawAssist';

const LONGEST_S = 60;

export const yawAssistSchema = Joi.object<YawInput>({
  massKg: positive().required(),
  yawInertiaKgM2: positive().required(),
  cgToFrontMm: positive().required(),
  cgToRearMm: positive().required(),
  corneringFrontNPerRad: positive().required(),
  corneringRearNPerRad: positive().required(),
  mu: positive().required(),
  frontLoadN: positive(),
  rearLoadN: positive(),
  speedMps: positive().required(),
  servo: Joi.object({
    lagS: notNegative().required(),
    rateDegPerS: positive().required(),
    maxDeg: positive().max(90).required(),
  }).required(),
  gyro: Joi.object({
    gain: notNegative().required(),
    deadbandDegPerS: notNegative().default(0),
    maxCorrectionDeg: notNegative().required(),
    sampleS: finite().min(1e-4).required(),
    lowpassS: notNegative().default(0),
    holds: Joi.object({ fullSteerDegPerS: positive().required(), catchUpS: positive().required() }),
  }).required(),
  scenario: Joi.object({
    kind: Joi.valid('kick', 'step', 'slide').required(),
    yawRateDegPerS: finite().when('kind', { is: 'kick', then: Joi.required(), otherwise: Joi.forbidden() }),
    steerDeg: finite()
      .min(-90)
      .max(90)
      .when('kind', { is: 'kick', then: Joi.forbidden(), otherwise: Joi.required() }),
    rearGripShare: positive()
      .max(1)
      .when('kind', { is: 'slide', then: Joi.required(), otherwise: Joi.forbidden() }),
  }).required(),
  durationS: positive().max(LONGEST_S).default(USUAL_DURATION_S),
  gains: Joi.array().items(notNegative()).max(500),
}).required();

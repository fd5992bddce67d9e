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
  }).required(),
  scenario: Joi.object({
    kind: Joi.valid('kick', 'step').required(),
    yawRateDegPerS: finite().when('kind', { is: 'kick', then: Joi.required(), otherwise: Joi.forbidden() }),
    steerDeg: finite()
      .min(-90)
      .max(90)
      .when('kind', { is: 'step', then: Joi.required(), otherwise: Joi.forbidden() }),
  }).required(),
  durationS: positive().max(LONGEST_S).default(USUAL_DURATION_S),
  gains: Joi.array().items(notNegative()).max(500),
}).required();

import Joi from 'joi';
import { finite, notNegative, positive } from '../../../base/schema/fields';
import { yawAssistSchema } from '../yaw.schema';
import type { GyroLogInput } from './definition';

const [LEAST_READINGS, MOST_READINGS] = [32, 200_000];
const [LEAST_SEGMENT, MOST_SEGMENT] = [16, 4096];

const log = () => ({
  rateDegPerS: Joi.array().items(finite()).min(LEAST_READINGS).max(MOST_READINGS).required(),
  sampleS: positive(),
  tS: Joi.array().items(finite()).max(MOST_READINGS),
});
const turningLog = () => Joi.object({ ...log(), motorRpm: notNegative(), wheelRpm: notNegative() });
const powersOfTwo = Array.from(
  { length: Math.log2(MOST_SEGMENT / LEAST_SEGMENT) + 1 },
  (_, k) => LEAST_SEGMENT * 2 ** k,
);

export const gyroLogSchema = Joi.object<GyroLogInput>({
  rest: Joi.object(log()).required(),
  running: turningLog(),
  driving: turningLog(),
  leftTurn: Joi.object(log()),
  segmentSamples: Joi.valid(...powersOfTwo),
  targetRmsDegPerS: positive(),
  fullScaleDegPerS: positive(),
  yaw: yawAssistSchema.optional(),
}).required();

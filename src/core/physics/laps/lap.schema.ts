import Joi from 'joi';
import { AIR_DENSITY } from '../../base/constants';
import { finite, notNegative, positive } from '../../base/schema/fields';
import { brakeSchema } from '../braking/brake.schema';
import { lossesSchema } from '../heat/endurance.schema';
import { driveRunSchema } from '../motion/run.schema';
import type { DriveLapInput, TrackDefinition } from './definition';

const MOST_SEGMENTS = 2000;
const MOST_POINTS = 20_000;

export const trackSchema = Joi.object<TrackDefinition>({
  closed: Joi.boolean().default(true),
  segments: Joi.array()
    .items(Joi.object({ lengthM: positive().required(), radiusM: positive(), gradePct: finite().default(0) }))
    .min(1)
    .max(MOST_SEGMENTS),
  pointsM: Joi.array().items(Joi.array().items(finite()).length(2)).min(3).max(MOST_POINTS),
  resampleM: positive().default(1),
  startMps: notNegative().default(0),
});

export const driveLapSchema = (driveRunSchema as Joi.ObjectSchema).keys({
  airDensityKgM3: notNegative().default(AIR_DENSITY),
  track: trackSchema.required(),
  lateralGripFactor: positive().default(1),
  drivingStyle: finite().min(0.3).max(1).default(1),
  brake: brakeSchema.default({ motorShare: 1 }),
  losses: lossesSchema,
}) as Joi.ObjectSchema<DriveLapInput>;

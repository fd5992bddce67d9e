import Joi from 'joi';
import { AIR_DENSITY } from '../../base/constants';
import { finite, notNegative, positive } from '../../base/schema/fields';
import { brakeSchema } from '../braking/brake.schema';
import { driveRunSchema } from '../motion/run.schema';
import type { DriveSiteInput } from './definition';

const siteSchema = Joi.object<DriveSiteInput['site']>({
  lengthM: positive().required(),
  widthM: positive(),
  marginStartM: notNegative().default(0),
  marginEndM: notNegative().default(2),
  marginSideM: notNegative().default(0.5),
});

export const driveSiteSchema = (driveRunSchema as Joi.ObjectSchema).keys({
  airDensityKgM3: notNegative().default(AIR_DENSITY),
  site: siteSchema.required(),
  wishMps: positive(),
  stretchM: positive().default(10),
  distanceErrorM: notNegative().default(0.02),
  timeErrorS: notNegative().default(0.1),
  rollingStartMps: notNegative().default(0),
  brake: brakeSchema.default({ motorShare: 1 }),
  steerErrorDeg: finite().min(0).less(45).default(1),
  reactionS: notNegative().default(0.5),
  carWidthMm: notNegative().default(0),
  driver: Joi.object({ alongM: finite(), besideM: finite().default(2) }).default({}),
  radioRangeM: positive(),
}) as Joi.ObjectSchema<DriveSiteInput>;

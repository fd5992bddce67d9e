import Joi from 'joi';
import { notNegative, positive } from '../../../base/schema/fields';
import type { GpxSpeedInput } from './gpxSpeed';

export const gpxSpeedSchema = Joi.object<GpxSpeedInput>({
  gpx: Joi.string().max(50_000_000).required(),
  windowS: notNegative().default(1),
  maxAccelMps2: positive().default(15),
}).required();

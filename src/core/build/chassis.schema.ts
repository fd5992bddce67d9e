import Joi from 'joi';
import { finite, innerShare, notNegative, positive } from '../schema/fields';
import type { Chassis } from './chassis';

export const chassisSchema = Joi.object<Chassis>({
  wheelbaseMm: positive().max(5000),
  trackFrontMm: positive().max(5000),
  trackRearMm: positive().max(5000),
  cgHeightMm: positive().max(2000),
  frontLoadShare: innerShare(),
  massG: positive().max(200_000),
  cdaM2: notNegative().max(5),
  claFrontM2: finite().min(-5).max(5),
  claRearM2: finite().min(-5).max(5),
});

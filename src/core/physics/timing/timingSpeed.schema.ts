import Joi from 'joi';
import { count, notNegative, positive } from '../../base/schema/fields';
import type { TimingSpeedInput } from './timingSpeed';

export const timingSpeedSchema = Joi.object<TimingSpeedInput>({
  distanceM: positive().required(),
  distanceErrorM: notNegative().default(0.02),
  timeS: positive(),
  frames: count(),
  captureFps: positive(),
  clipTimeS: positive(),
  slowdown: positive(),
  timeErrorS: notNegative(),
})
  .xor('timeS', 'frames', 'clipTimeS')
  .with('frames', 'captureFps')
  .with('clipTimeS', 'slowdown')
  .without('timeS', ['captureFps', 'slowdown'])
  .without('frames', ['slowdown'])
  .required();

import Joi from 'joi';
import { innerShare, notNegative, positive } from '../../base/schema/fields';
import type { TimingLaunchInput } from './timingLaunch';

export const timingLaunchSchema = Joi.object<TimingLaunchInput>({
  distanceM: positive().required(),
  timeS: positive().required(),
  timeErrorS: notNegative().default(0.1),
  mu: notNegative(),
  drivenAxles: Joi.valid('front', 'rear', 'all').default('all'),
  frontLoadShare: innerShare().when('drivenAxles', {
    is: Joi.valid('front', 'rear').required(),
    then: Joi.required(),
  }),
  cgHeightMm: positive(),
  wheelbaseMm: positive(),
})
  .and('cgHeightMm', 'wheelbaseMm')
  .required();

import Joi from 'joi';
import { finite, notNegative, positive, share } from '../../base/schema/fields';
import type { ServoSteerInput, ServoTorqueInput } from './servo';

const servoFields = {
  points: Joi.array()
    .items(
      Joi.object({
        volts: positive().required(),
        torqueKgcm: positive().required(),
        secondsPer60Deg: positive(),
      }),
    )
    .min(1)
    .max(20)
    .required(),
  volts: notNegative().required(),
};

export const servoTorqueSchema = Joi.object<ServoTorqueInput>(servoFields).required();

/** Needed for steering, refused where other work is given. */
const steering = (field: Joi.Schema) =>
  field.when('forceN', { is: Joi.exist(), then: Joi.forbidden(), otherwise: Joi.required() });

export const servoSteerSchema = Joi.object<ServoSteerInput>({
  wheelLoadN: steering(Joi.array().items(notNegative()).length(2)),
  mu: steering(notNegative()),
  contactWidthMm: steering(notNegative()),
  scrubRadiusMm: steering(finite()),
  linkageRatio: positive().default(1),
  linkageEfficiency: share().default(0.8),
  liftNmm: notNegative().when('forceN', { is: Joi.exist(), then: Joi.forbidden() }),
  forceN: notNegative(),
  armMm: notNegative(),
  servo: Joi.object<ServoTorqueInput>(servoFields).required(),
})
  .and('forceN', 'armMm')
  .required();

import Joi from 'joi';
import { AIR_DENSITY } from '../../base/constants';
import { finite, notNegative, positive } from '../../base/schema/fields';
import { carFields } from '../motion/run.schema';
import type { BrakeDefinition, DriveBrakeInput } from './definition';

const fraction = () => finite().min(0).max(1);

export const brakeSchema = Joi.object<BrakeDefinition>({
  motorShare: fraction(),
  motorNm: notNegative(),
  dragShare: fraction().default(0),
  motorFrontShare: fraction(),
  mechanicalFrontNm: notNegative().default(0),
  mechanicalRearNm: notNegative().default(0),
  coastS: notNegative().max(600).default(0),
  onLock: Joi.valid('ease', 'slide').default('ease'),
  slideShare: finite().greater(0).max(1).default(0.8),
  regeneration: fraction().default(0),
});

export const driveBrakeSchema = Joi.object<DriveBrakeInput>({
  ...carFields,
  airDensityKgM3: notNegative().default(AIR_DENSITY),
  fromMps: positive().required(),
  toMps: notNegative().default(0),
  brake: brakeSchema.required(),
}).required();

import Joi from 'joi';
import { count, finite, notNegative, positive, share, temperatureC } from '../../base/schema/fields';
import { REFERENCE_C } from '../strength/softening';
import type { GearStrengthInput } from './strength';

export const softeningC = () => temperatureC().greater(REFERENCE_C);

export const gearStrengthSchema = Joi.object<GearStrengthInput>({
  teeth: count().min(10).required(),
  mateTeeth: count().min(6).required(),
  moduleMm: positive().required(),
  faceWidthMm: positive().required(),
  torqueNm: notNegative().required(),
  speedRpm: notNegative().required(),
  pressureAngleDeg: finite().greater(0).less(45).default(20),
  material: Joi.object({
    inPlaneStrengthMpa: positive().required(),
    softeningC: softeningC().required(),
    wearCoefficientMm3PerNm: notNegative(),
  }).required(),
  temperatureC: temperatureC().default(REFERENCE_C),
  fillFactor: share().default(1),
  overloadFactor: positive().default(1.5),
  wearLimitMm: positive(),
}).required();

import Joi from 'joi';
import { notNegative, positive } from '../../base/schema/fields';
import type { ShaftInput } from './shaft';

export const shaftCheckSchema = Joi.object<ShaftInput>({
  diameterMm: positive().required(),
  boreMm: notNegative().less(Joi.ref('diameterMm')).default(0),
  bendingNm: notNegative(),
  forceN: notNegative(),
  overhangMm: notNegative(),
  torqueNm: notNegative().default(0),
  yieldMpa: positive().required(),
  modulusMpa: positive().required(),
  densityKgM3: positive().required(),
  spanMm: positive(),
  maxRpm: positive(),
})
  .without('bendingNm', ['forceN', 'overhangMm'])
  .and('forceN', 'overhangMm')
  .required();

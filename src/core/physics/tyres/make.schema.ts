import Joi from 'joi';
import { count, finite, notNegative, positive, temperatureC } from '../../base/schema/fields';
import { SPIN_HOLDS, TYRE_KINDS } from './tyreKinds';

/** Fields of how a tyre is made and held. */
export const makeFields = () => ({
  kind: Joi.valid(...TYRE_KINDS).required(),
  radiusMm: positive().required(),
  hold: Joi.valid(...SPIN_HOLDS),
  rimRadiusMm: positive(),
  widthMm: positive(),
  densityKgM3: positive(),
  hoopModulusMpa: positive(),
  hoopStrengthMpa: positive(),
  poisson: finite().min(0).max(0.5),
  bondStrengthMpa: positive(),
  bondShearMpa: positive(),
  bondSofteningC: temperatureC().greater(23),
  edgeFactor: finite().min(1),
  beadMm: positive(),
  screws: count(),
  screwPreloadN: positive(),
  clampFriction: positive(),
  interferenceMm: positive(),
  wallMm: positive(),
  sidewallMm: positive(),
  sidewallModulusMpa: positive(),
  sidewallStrengthMpa: positive(),
  insertDensityKgM3: notNegative(),
  pressureMpa: notNegative(),
});

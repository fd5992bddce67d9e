import Joi from 'joi';
import { count, finite, notNegative, positive, share, temperatureC } from '../../base/schema/fields';
import { bearingPlaces, underLoad } from '../transmissions/underLoad.schema';
import type { BevelGear, BevelInput } from './bevel';
import type { BevelDifferential } from './bevelDifferential';

const gear = () =>
  Joi.object<BevelGear>({
    ...underLoad(),
    crownToBackMm: notNegative(),
    bearingsAtMm: bearingPlaces(),
  }).required();

export const gearBevelSchema = Joi.object<BevelInput>({
  pinionTeeth: count().required(),
  wheelTeeth: count().required(),
  moduleMm: positive(),
  diametralPitch: positive(),
  shaftAngleDeg: finite().greater(0).less(180).default(90),
  faceWidthMm: positive().required(),
  pressureAngleDeg: finite().greater(0).less(45).default(20),
  pinionShift: finite().greater(-1).less(1).default(0),
  torqueNm: notNegative(),
  speedRpm: notNegative(),
  pinion: gear(),
  wheel: gear(),
  temperatureC: temperatureC().default(23),
  overloadFactor: positive().default(1.5),
  differential: Joi.object<BevelDifferential>({
    pinions: count().required(),
    caseTorqueNm: notNegative().required(),
    sideSpeedRpm: notNegative().default(0),
    sharingFactor: finite().min(1).default(1),
    reversalFactor: share().default(0.7),
  }),
})
  .xor('moduleMm', 'diametralPitch')
  .required();

import Joi from 'joi';
import { notNegative, ownId, positive, share } from '../../base/schema/fields';
import {
  FRICTION_MOTORS,
  type FreeSpin,
  type FrictionInput,
  type FrictionMotor,
  type FrictionReading,
} from './friction';

const spin = () =>
  Joi.object<FreeSpin>({
    currentA: notNegative().required(),
    rpm: notNegative().required(),
    errorA: notNegative().default(0),
  });

export const driveFrictionSchema = Joi.object<FrictionInput>({
  ratio: positive().required(),
  radiusMm: positive().required(),
  radiusErrorMm: notNegative().default(0),
  readings: Joi.array()
    .items(
      Joi.object<FrictionReading>({
        part: ownId().required(),
        startG: notNegative().required(),
        keepG: notNegative().required(),
        errorG: notNegative().default(0),
        radiusMm: positive(),
        ratio: positive(),
      }),
    )
    .default([]),
  motor: Joi.object<FrictionMotor>({
    kind: Joi.valid(...FRICTION_MOTORS).required(),
    kvRpmPerV: positive().required(),
    resistanceMilliOhm: positive().required(),
    volts: positive().required(),
    currentLimitA: positive(),
    startFactor: share(),
  }),
  freeSpin: spin(),
  motorAlone: spin(),
  startLoadNm: notNegative().default(0),
  loadNm: positive(),
  meshEfficiency: share().default(1),
}).required();

import Joi from 'joi';
import { finite, notNegative, positive } from '../../base/schema/fields';
import type { CircleInput } from './circle';
import { DIRECTIONS, type StraightInput } from './straight';

const MOST_RUNS = 500;

export const handlingStraightSchema = Joi.object<StraightInput>({
  wheelbaseMm: positive().required(),
  distanceM: positive().required(),
  runs: Joi.array()
    .items(Joi.object({ driftM: finite().required(), direction: Joi.valid(...DIRECTIONS) }))
    .min(1)
    .max(MOST_RUNS)
    .required(),
  readErrorM: notNegative(),
  aimErrorDeg: notNegative(),
  speedMps: notNegative(),
  understeerDegPerMps2: finite(),
}).required();

export const handlingCircleSchema = Joi.object<CircleInput>({
  wheelbaseMm: positive().required(),
  runs: Joi.array()
    .items(
      Joi.object({
        radiusM: positive().required(),
        lapTimeS: positive().required(),
        steerDeg: finite().required(),
        radiusErrorM: notNegative(),
        lapTimeErrorS: notNegative(),
        steerErrorDeg: notNegative(),
      }),
    )
    .min(2)
    .max(MOST_RUNS)
    .required(),
  mu: positive(),
  predictedDegPerMps2: finite(),
}).required();

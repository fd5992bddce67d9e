import Joi from 'joi';
import { finite, notNegative, positive } from '../../base/schema/fields';
import { COAST_DIRECTIONS, type CoastInput } from './coastDefinition';

const [MOST_RUNS, MOST_READINGS] = [40, 2000];

export const airCoastDownSchema = Joi.object<CoastInput>({
  massKg: positive().required(),
  rotatingInertiaKgM2: notNegative(),
  tyreRadiusMm: positive(),
  airDensityKgM3: positive(),
  claM2: finite(),
  windMps: finite(),
  gradePct: finite(),
  speedErrorMps: notNegative(),
  runs: Joi.array()
    .items(
      Joi.object({
        direction: Joi.valid(...COAST_DIRECTIONS),
        readings: Joi.array()
          .items(Joi.object({ tS: finite().required(), speedMps: positive().required() }))
          .min(2)
          .max(MOST_READINGS)
          .required(),
      }),
    )
    .min(1)
    .max(MOST_RUNS)
    .required(),
}).required();

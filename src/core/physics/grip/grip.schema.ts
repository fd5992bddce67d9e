import Joi from 'joi';
import { innerShare, notNegative, ownId, positive } from '../../base/schema/fields';
import { type GripInput, type GripMethod, SLIPPING } from './definition';

const MOST_READINGS = 1000;
const MOST_MEASUREMENTS = 200;
const readings = (one = positive()) => Joi.array().items(one).min(1).max(MOST_READINGS).required();
const slipping = () => Joi.valid(...SLIPPING);
const rolling = { resistanceN: notNegative(), resistanceErrorN: notNegative() };
const braked = {
  speedMps: positive().required(),
  speedErrorMps: notNegative().required(),
  locked: slipping(),
  ...rolling,
};

const FIELDS: Readonly<Record<GripMethod, Joi.SchemaMap>> = {
  pull: {
    forcesN: readings(),
    forceErrorN: notNegative(),
    pullHeightMm: notNegative().required(),
    pullHeightErrorMm: notNegative(),
    direction: Joi.valid('longitudinal', 'lateral'),
    locked: slipping(),
    toward: Joi.valid('forward', 'backward'),
    ...rolling,
  },
  tilt: {
    anglesDeg: readings(positive().less(90)),
    angleErrorDeg: notNegative(),
    nose: Joi.valid('down', 'up', 'across'),
    locked: slipping(),
  },
  circle: {
    lapTimesS: readings(),
    lapTimeErrorS: notNegative(),
    radiusM: positive().required(),
    radiusErrorM: notNegative(),
    locked: slipping(),
  },
  brakeLength: { lengthsM: readings(), lengthErrorM: notNegative(), ...braked },
  brakeTime: { timesS: readings(), timeErrorS: notNegative(), ...braked },
  launch: {
    timesS: readings(),
    timeErrorS: notNegative(),
    fromMps: notNegative(),
    fromErrorMps: notNegative(),
    toMps: positive().required(),
    toErrorMps: notNegative().required(),
    driven: slipping().required(),
    ...rolling,
  },
};

const METHODS = Object.keys(FIELDS) as GripMethod[];
const ofMethod = (method: GripMethod) =>
  Joi.object({ id: ownId().required(), method: Joi.valid(method).required(), ...FIELDS[method] });

export const gripMeasureSchema = Joi.object<GripInput>({
  car: Joi.object({
    massKg: positive().required(),
    wheelbaseMm: positive().required(),
    cgHeightMm: positive().required(),
    frontLoadShare: innerShare().required(),
    massErrorKg: notNegative(),
    wheelbaseErrorMm: notNegative(),
    cgHeightErrorMm: notNegative(),
    frontLoadShareError: notNegative(),
  }).required(),
  measurements: Joi.array()
    .items(
      METHODS.reduceRight<Joi.Schema>(
        (otherwise, method) =>
          Joi.alternatives().conditional(Joi.object({ method: Joi.valid(method).required() }).unknown(), {
            then: ofMethod(method),
            otherwise,
          }),
        Joi.object({ method: Joi.valid(...METHODS).required() }).unknown(),
      ),
    )
    .min(1)
    .max(MOST_MEASUREMENTS)
    .required(),
  compare: Joi.object({ a: ownId().required(), b: ownId().required() }),
}).required();

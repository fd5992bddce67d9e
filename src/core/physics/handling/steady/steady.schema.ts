import Joi from 'joi';
import { finite, innerShare, notNegative, ownId, positive } from '../../../base/schema/fields';
import { DRIVEN_AXLES, type SteadyInput } from './definition';

const MOST_CHANGES = 200;
const shareOfOne = () => finite().min(0).max(1);

const tyre = () =>
  Joi.object({
    corneringPerRad: positive().required(),
    mu: positive().required(),
    loadFalloff: shareOfOne(),
    muFalloff: shareOfOne(),
    referenceLoadN: positive(),
  }).required();

export const handlingSteadySchema = Joi.object<SteadyInput>({
  massKg: positive().required(),
  yawInertiaKgM2: positive().required(),
  wheelbaseMm: positive().required(),
  frontLoadShare: innerShare().required(),
  cgHeightMm: notNegative().required(),
  rollingResistance: notNegative(),
  drivenAxles: Joi.valid(...DRIVEN_AXLES).required(),
  driveFrontShare: shareOfOne(),
  brakeFrontShare: shareOfOne(),
  tyres: Joi.object({ front: tyre(), rear: tyre(), lateralGripFactor: positive() }).required(),
  air: Joi.object({
    cdaM2: notNegative(),
    claFrontM2: finite(),
    claRearM2: finite(),
    sideForceSlopeM2: notNegative(),
    centreOfPressureXMm: finite(),
  }),
  airDensityKgM3: notNegative(),
  speedMps: positive().required(),
  accelMps2: finite(),
  lightShare: innerShare(),
  searchMps: positive().max(1000),
  sweep: Joi.object({
    fromMps: positive().required(),
    toMps: positive().required(),
    stepMps: positive().required(),
  }),
  rearWing: Joi.object({
    xMm: finite().required(),
    zMm: notNegative().required(),
    claPerDegM2: finite().required(),
    cdaPerDegM2: finite(),
  }),
  changes: Joi.array()
    .items(
      Joi.object({
        id: ownId().required(),
        frontTyreFactor: positive(),
        rearTyreFactor: positive(),
        weightShiftMm: finite(),
        rearWingDeg: finite(),
      }),
    )
    .max(MOST_CHANGES),
}).required();

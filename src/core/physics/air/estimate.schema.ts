import Joi from 'joi';
import { count, finite, notNegative, ownId, positive, share } from '../../base/schema/fields';
import { type AirInput, BODY_SHAPES, WING_PROFILES } from './definition';

const MOST_WINGS = 50;
const flowShare = () => finite().min(0).max(1);

export const airEstimateSchema = Joi.object<AirInput>({
  wheelbaseMm: positive().required(),
  referenceSpeedMps: positive(),
  airDensityKgM3: positive(),
  body: Joi.object({
    shape: Joi.valid(...BODY_SHAPES).required(),
    frontalAreaM2: positive().required(),
    lengthMm: positive().required(),
    xMm: finite(),
    zMm: notNegative().required(),
    sideAreaM2: positive(),
    dragCoefficient: positive(),
  }).required(),
  wings: Joi.array()
    .items(
      Joi.object({
        id: ownId().required(),
        profile: Joi.valid(...WING_PROFILES).required(),
        spanMm: positive().required(),
        chordMm: positive().required(),
        angleDeg: finite().min(-45).max(45).required(),
        camberPct: finite().min(0).max(15),
        endPlateHeightMm: notNegative(),
        spanEfficiency: share(),
        flowShare: flowShare(),
        xMm: finite().required(),
        zMm: notNegative().required(),
      }),
    )
    .max(MOST_WINGS),
  splitter: Joi.object({
    widthMm: positive().required(),
    lengthMm: positive().required(),
    xMm: finite().required(),
  }),
  undertray: Joi.object({
    widthMm: positive().required(),
    lengthMm: positive().required(),
    xMm: finite().required(),
    diffuserDeg: finite().min(0).max(30),
  }),
  noseScoop: Joi.object({
    areaM2: positive().required(),
    xMm: finite().required(),
    zMm: notNegative().required(),
    turnDeg: finite().min(-90).max(90),
  }),
  fins: Joi.array()
    .items(
      Joi.object({
        id: ownId().required(),
        heightMm: positive().required(),
        chordMm: positive().required(),
        xMm: finite().required(),
        zMm: notNegative().required(),
        count: count(),
        flowShare: flowShare(),
      }),
    )
    .max(MOST_WINGS),
}).required();

import Joi from 'joi';
import { count, finite, identifier, notNegative, positive, share, text } from '../schema/fields';
import { HOUSINGS } from '../drive/thermalDefaults';
import { DIFFERENTIALS } from '../gears/differential';
import { AXLES, type BevelSides, type ChosenMotor, type ChosenTyre, type Drive, type GearBody, MOTOR_PLACES, type Stage, STAGE_KINDS } from './drive';
import { heatSchema } from './heat.schema';

const teeth = () => count().max(1000);

const sides = () => Joi.object<BevelSides>({ pinion: Joi.valid('ahead', 'behind').required(), ring: Joi.valid('left', 'right').required() });

const gearBody = () => Joi.object<GearBody>({ boreMm: positive().max(500), flatDepthMm: positive().max(500), hexAcrossFlatsMm: positive().max(500) });

const stageSchema = Joi.object<Stage>({
  id: identifier().required(),
  kind: Joi.valid(...STAGE_KINDS).required(),
  pinionTeeth: teeth(),
  wheelTeeth: teeth(),
  efficiency: share().required(),
  moduleMm: positive().max(20),
  faceWidthMm: positive().max(500),
  helixDeg: finite().min(-45).max(45),
  backlashMm: notNegative().max(5),
  slotMinMm: positive().max(1000),
  slotMaxMm: positive().max(1000),
  pinion: gearBody(),
  wheel: gearBody(),
  on: Joi.valid(...AXLES),
  front: sides(),
  rear: sides(),
});

export const motorFigures = {
  name: text(80).required(),
  kvRpmPerV: positive().max(100_000).required(),
  resistanceMilliOhm: positive().max(1e6).required(),
  noLoadCurrentA: notNegative().max(1000).required(),
  rotorInertiaKgM2: notNegative().max(1).required(),
  maxV: positive().max(1000).required(),
  massG: positive().max(100_000).required(),
  diameterMm: positive().max(1000).required(),
  lengthMm: positive().max(1000).required(),
  housing: Joi.valid(...HOUSINGS),
};

export const tyreFigures = {
  name: text(80).required(),
  compound: text(80).required(),
  radiusMm: positive().max(1000).required(),
  massG: positive().max(100_000).required(),
};

export const compoundFigures = { hardFactor: positive().max(5).required(), looseFactor: positive().max(5).required() };

export const driveSchema = Joi.object<Drive>({
  motor: Joi.object<ChosenMotor>({ libraryId: identifier(), ...motorFigures }),
  motorCount: count().max(8),
  motorsAt: Joi.valid(...MOTOR_PLACES),
  mounting: Joi.valid('chassis', 'wheel'),
  motorAxis: Joi.valid('x', 'y'),
  reversed: Joi.boolean(),
  frontReversed: Joi.boolean(),
  steering: Joi.valid('steered', 'skid'),
  stages: Joi.array().items(stageSchema).max(8).unique('id').required(),
  shaftEfficiency: share(),
  drivenAxles: Joi.valid('front', 'rear', 'all'),
  tyre: Joi.object<ChosenTyre>({ libraryId: identifier(), ...tyreFigures, ...compoundFigures }),
  frontDifferential: Joi.valid(...DIFFERENTIALS),
  rearDifferential: Joi.valid(...DIFFERENTIALS),
  biasRatio: finite().greater(1).max(20),
  clutchNm: positive().max(1000),
  currentLimitA: positive().max(5000),
  throttleLimit: share(),
  heat: heatSchema,
});

import Joi from 'joi';
import { count, identifier, notNegative, positive, share, text } from '../schema/fields';
import { type ChosenMotor, type ChosenTyre, type Drive, type Stage, STAGE_KINDS } from './drive';

const teeth = () => count().max(1000);

const stageSchema = Joi.object<Stage>({
  id: identifier().required(),
  kind: Joi.valid(...STAGE_KINDS).required(),
  pinionTeeth: teeth(),
  wheelTeeth: teeth(),
  efficiency: share().required(),
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
  stages: Joi.array().items(stageSchema).max(8).unique('id').required(),
  shaftEfficiency: share(),
  drivenAxles: Joi.valid('front', 'rear', 'all'),
  tyre: Joi.object<ChosenTyre>({ libraryId: identifier(), ...tyreFigures, ...compoundFigures }),
});

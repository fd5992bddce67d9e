import {
  type Brakes,
  type ChosenMotor,
  type Drive,
  MOTOR_AT,
  MOTOR_PLACES,
  type OwnMotor,
  type Shaft,
  SHAFT_KINDS,
  type WheelHex,
} from './drive';
import { stageSchema } from '../stages/stage.schema';
import { holdSchema, tyreSchema } from '../tyres/tyre.schema';
import { MOTOR_FIGURES } from './drive.figures';
import { figureSchemas } from '../fields/figureSchemas';
import Joi from 'joi';
import { count, finite, identifier, notNegative, text } from '../../base/schema/fields';
import { positive, share } from '../fields/physical';
import { DIFFERENTIALS } from '../../physics/gears/differential';
import { heatSchema } from './heat.schema';
import { materialSchema } from '../material/material.schema';

const shaftSchema = Joi.object<Shaft>({
  id: identifier().required(),
  kind: Joi.valid(...SHAFT_KINDS).required(),
  diameterMm: positive().max(200),
  boreMm: notNegative().max(200),
  material: materialSchema(),
  overhangMm: notNegative().max(1000),
  spanMm: positive().max(5000),
  halves: Joi.boolean(),
  behind: identifier(),
});

export const motorFigures = { name: text(80).required(), ...figureSchemas(MOTOR_FIGURES) };

export const driveSchema = Joi.object<Drive>({
  motor: Joi.object<ChosenMotor>({ libraryId: identifier(), ...motorFigures }),
  motorCount: count().max(8),
  motorsAt: Joi.valid(...MOTOR_PLACES),
  ownMotors: Joi.array()
    .items(
      Joi.object<OwnMotor>({
        id: Joi.valid(...MOTOR_AT).required(),
        name: text(80),
        controllerLimitA: positive().max(5000),
        controllerMilliOhm: notNegative().max(10_000),
        controllerName: text(80),
        controllerMassG: positive().max(100_000),
        ...figureSchemas(
          Object.fromEntries(
            (['kvRpmPerV', 'resistanceMilliOhm', 'noLoadCurrentA', 'massG'] as const).map((key) => [
              key,
              { ...MOTOR_FIGURES[key], optional: true },
            ]),
          ),
        ),
      }),
    )
    .max(MOTOR_AT.length)
    .unique('id'),
  mounting: Joi.valid('chassis', 'wheel'),
  motorAxis: Joi.valid('x', 'y'),
  reversed: Joi.boolean(),
  frontReversed: Joi.boolean(),
  steering: Joi.valid('steered', 'skid'),
  stages: Joi.array().items(stageSchema).max(8).unique('id').required(),
  shaftEfficiency: share(),
  drivenAxles: Joi.valid('front', 'rear', 'all'),
  tyre: tyreSchema(),
  frontTyre: tyreSchema(),
  frontDifferential: Joi.valid(...DIFFERENTIALS),
  rearDifferential: Joi.valid(...DIFFERENTIALS),
  biasRatio: finite().greater(1).max(20),
  clutchNm: positive().max(1000),
  currentLimitA: positive().max(5000),
  throttleLimit: share(),
  heat: heatSchema,
  brakes: Joi.object<Brakes>({
    motorShare: finite().min(0).max(1),
    dragShare: finite().min(0).max(1),
    mechanicalFrontNm: notNegative().max(1000),
    mechanicalRearNm: notNegative().max(1000),
    coastS: notNegative().max(30),
  }),
  gearHours: positive().max(10_000),
  shafts: Joi.array().items(shaftSchema).max(8).unique('id'),
  wheelHex: Joi.object<WheelHex>({
    acrossFlatsMm: positive().max(100),
    lengthMm: positive().max(200),
    material: materialSchema(),
  }),
  tyreHold: holdSchema(),
  frontTyreHold: holdSchema(),
});

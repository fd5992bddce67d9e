import { optional } from '../fields/figure';
import {
  type ChosenBattery,
  type ChosenController,
  FAILSAFE_ITEMS,
  type FailsafeTick,
  type Power,
  type PowerLoad,
  type PowerRail,
  type Radio,
  type ServoFigures,
  type SteerWork,
  type Transmitter,
  type Wire,
} from './power';
import {
  BATTERY_FIGURES,
  CONTROLLER_FIGURES,
  LOAD_FIGURES,
  RADIO_FIGURES,
  RAIL_FIGURES,
  SERVO_FIGURES,
  TRANSMITTER_FIGURES,
} from './power.figures';
import { figureSchemas } from '../fields/figureSchemas';
import Joi from 'joi';
import { count, identifier, notNegative, text } from '../../base/schema/fields';
import { positive, share } from '../fields/physical';
import { LOAD_KINDS } from '../../physics/supply/budgetDefinition';

export const batteryFigures = { name: text(80).required(), ...figureSchemas(BATTERY_FIGURES) };

export const controllerFigures = { name: text(80).required(), ...figureSchemas(CONTROLLER_FIGURES) };

export const regulatorFigures = figureSchemas(RAIL_FIGURES);

export const servoFigures = figureSchemas(SERVO_FIGURES);

export const loadFigures = figureSchemas(LOAD_FIGURES);

export const transmitterFigures = figureSchemas(TRANSMITTER_FIGURES);

const railSchema = Joi.object<PowerRail>({
  id: identifier().required(),
  libraryId: identifier(),
  name: text(80).required(),
  from: identifier().required(),
  ...regulatorFigures,
  meteredV: notNegative().max(1000),
});

const loadSchema = Joi.object<PowerLoad>({
  id: identifier().required(),
  libraryId: identifier(),
  name: text(80).required(),
  kind: Joi.valid(...LOAD_KINDS).required(),
  rail: identifier().required(),
  ...loadFigures,
  meteredV: notNegative().max(1000),
  massG: positive().max(100_000),
  peaksTogether: Joi.boolean(),
  servo: Joi.object<ServoFigures>(servoFigures),
  steer: Joi.object<SteerWork>({
    contactWidthMm: notNegative().max(1000),
    scrubRadiusMm: notNegative().max(1000),
    linkageRatio: positive().max(20),
    linkageEfficiency: share(),
  }),
  ...figureSchemas(optional(RADIO_FIGURES)),
});

const mark = () => Joi.string().hex().max(16).required();

const tickSchema = Joi.object<FailsafeTick>({
  id: Joi.valid(...FAILSAFE_ITEMS).required(),
  at: Joi.string().isoDate().max(40).required(),
  of: Joi.object({ radio: mark(), receiver: mark(), controller: mark(), wiring: mark() }).required(),
});

export const powerSchema = Joi.object<Power>({
  battery: Joi.object<ChosenBattery>({ libraryId: identifier(), ...batteryFigures }),
  packs: count().max(4),
  packC: Joi.number().min(-20).max(60),
  controller: Joi.object<ChosenController>({ libraryId: identifier(), ...controllerFigures }),
  motorsPerController: count().max(4),
  cutoffVPerCell: positive().max(4.2),
  usableShare: positive().max(1),
  meteredPackV: positive().max(1000),
  rails: Joi.array().items(railSchema).max(20).unique('id'),
  loads: Joi.array().items(loadSchema).max(40).unique('id'),
  wires: Joi.array()
    .items(
      Joi.object<Wire>({
        id: identifier().required(),
        areaMm2: positive().max(100),
        plug: text(40),
        socket: text(40),
      }),
    )
    .max(64)
    .unique('id'),
  radio: Joi.object<Radio>({
    transmitter: Joi.object<Transmitter>({
      libraryId: identifier(),
      name: text(80).required(),
      ...transmitterFigures,
    }),
    gyroGain: Joi.boolean(),
    awayM: positive().max(100_000),
  }),
  failsafe: Joi.array().items(tickSchema).max(FAILSAFE_ITEMS.length).unique('id'),
});

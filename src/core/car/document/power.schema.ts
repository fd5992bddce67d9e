import Joi from 'joi';
import { count, identifier, notNegative, text } from '../../base/schema/fields';
import { positive, share } from '../fields/physical';
import { LOAD_KINDS, RAIL_KINDS } from '../../physics/supply/budgetDefinition';
import {
  type ChosenBattery,
  type ChosenController,
  FAILSAFE_ITEMS,
  type FailsafeTick,
  MOTOR_KINDS,
  type Power,
  type PowerLoad,
  type PowerRail,
  type Radio,
  type ServoFigures,
  type SteerWork,
  type Transmitter,
  type Wire,
} from './power';

export const batteryFigures = {
  name: text(80).required(),
  cells: count().max(30).required(),
  parallel: count().max(30).required(),
  cellResistanceMilliOhm: notNegative().max(10_000).required(),
  capacityMah: positive().max(1e6).required(),
  maxDischargeC: positive().max(500).required(),
  massG: positive().max(100_000).required(),
};

export const controllerFigures = {
  name: text(80).required(),
  kind: Joi.valid(...MOTOR_KINDS),
  currentLimitA: positive().max(5000).required(),
  limitsCurrent: Joi.boolean(),
  continuousA: positive().max(5000).required(),
  resistanceMilliOhm: notNegative().max(10_000).required(),
  maxV: positive().max(1000).required(),
  massG: positive().max(100_000).required(),
};

export const regulatorFigures = {
  kind: Joi.valid(...RAIL_KINDS).required(),
  setV: positive().max(1000),
  dropoutV: notNegative().max(100),
  minInV: notNegative().max(1000),
  maxInV: positive().max(1000),
  continuousA: positive().max(5000),
  peakA: positive().max(5000),
  efficiency: share(),
  shedsW: positive().max(1000),
};

export const servoFigures = {
  lowV: positive().max(100),
  lowTorqueKgcm: positive().max(10_000),
  lowSecondsPer60Deg: positive().max(60),
  highV: positive().max(100),
  highTorqueKgcm: positive().max(10_000),
  highSecondsPer60Deg: positive().max(60),
};

export const loadFigures = {
  minV: notNegative().max(1000),
  maxV: positive().max(1000),
  typicalA: notNegative().max(1000),
  peakA: notNegative().max(1000),
};

export const protocol = () => text(40);
export const channels = () => count().max(64);
export const transmitterFigures = {
  protocol: protocol().required(),
  channels: channels().required(),
  rangeM: positive().max(100_000).required(),
};

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
  protocol: protocol(),
  channels: channels(),
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

import Joi from 'joi';
import { count, identifier, notNegative, positive, text } from '../schema/fields';
import type { ChosenBattery, ChosenController, Power } from './power';

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
  currentLimitA: positive().max(5000).required(),
  continuousA: positive().max(5000).required(),
  resistanceMilliOhm: notNegative().max(10_000).required(),
  maxV: positive().max(1000).required(),
  massG: positive().max(100_000).required(),
};

export const powerSchema = Joi.object<Power>({
  battery: Joi.object<ChosenBattery>({ libraryId: identifier(), ...batteryFigures }),
  controller: Joi.object<ChosenController>({ libraryId: identifier(), ...controllerFigures }),
  cutoffVPerCell: positive().max(4.2),
});

import type { Figures } from '../fields/figure';
import { CONTROLLER_COOLINGS } from '../../physics/cooling/controllerCooling';
import { RAIL_KINDS } from '../../physics/supply/budgetDefinition';
import {
  type ChosenBattery,
  type ChosenController,
  MOTOR_KINDS,
  type PowerLoad,
  type PowerRail,
  type ServoFigures,
  type Transmitter,
} from './power';

/** What describes a pack. */
export const BATTERY_FIGURES: Figures<ChosenBattery> = {
  cells: { quantity: 'count', limits: { from: 1, to: 30 }, whole: true },
  parallel: { quantity: 'count', limits: { from: 1, to: 30 }, whole: true },
  capacityMah: { quantity: 'capacityMah', limits: { above: 0, to: 1_000_000 } },
  cellResistanceMilliOhm: { quantity: 'resistanceMilliOhm', limits: { from: 0, to: 10_000 } },
  maxDischargeC: { quantity: 'rating', limits: { above: 0, to: 500 } },
  massG: { quantity: 'massG', limits: { above: 0, to: 100_000 } },
};

/** What describes a controller. */
export const CONTROLLER_FIGURES: Figures<ChosenController> = {
  kind: { oneOf: MOTOR_KINDS, optional: true },
  currentLimitA: { quantity: 'currentA', limits: { above: 0, to: 5000 } },
  continuousA: { quantity: 'currentA', limits: { above: 0, to: 5000 } },
  resistanceMilliOhm: { quantity: 'resistanceMilliOhm', limits: { from: 0, to: 10_000 } },
  maxV: { quantity: 'voltageV', limits: { above: 0, to: 1000 } },
  massG: { quantity: 'massG', limits: { above: 0, to: 100_000 } },
  limitsCurrent: { yesNo: true, optional: true },
  lengthMm: { quantity: 'lengthMm', limits: { above: 0, to: 1000 }, optional: true },
  widthMm: { quantity: 'lengthMm', limits: { above: 0, to: 1000 }, optional: true },
  heightMm: { quantity: 'lengthMm', limits: { above: 0, to: 1000 }, optional: true },
  cooling: { oneOf: CONTROLLER_COOLINGS, optional: true },
  limitC: { quantity: 'temperatureC', limits: { from: 40, to: 200 }, optional: true },
};

/** What describes a regulator. */
export const RAIL_FIGURES: Figures<PowerRail, 'id' | 'from' | 'meteredV'> = {
  kind: { oneOf: RAIL_KINDS },
  setV: { quantity: 'voltageV', limits: { above: 0, to: 1000 }, optional: true },
  dropoutV: { quantity: 'voltageV', limits: { from: 0, to: 100 }, optional: true },
  minInV: { quantity: 'voltageV', limits: { from: 0, to: 1000 }, optional: true },
  maxInV: { quantity: 'voltageV', limits: { above: 0, to: 1000 }, optional: true },
  continuousA: { quantity: 'currentA', limits: { above: 0, to: 5000 }, optional: true },
  peakA: { quantity: 'currentA', limits: { above: 0, to: 5000 }, optional: true },
  efficiency: { quantity: 'share', limits: { above: 0, to: 1 }, optional: true },
  shedsW: { quantity: 'powerW', limits: { above: 0, to: 1000 }, optional: true },
};

/** What the data sheet of a servo says. */
export const SERVO_FIGURES: Figures<ServoFigures> = {
  lowV: { quantity: 'voltageV', limits: { above: 0, to: 100 }, optional: true },
  lowTorqueKgcm: { quantity: 'torqueKgcm', limits: { above: 0, to: 10_000 }, optional: true },
  highV: { quantity: 'voltageV', limits: { above: 0, to: 100 }, optional: true },
  highTorqueKgcm: { quantity: 'torqueKgcm', limits: { above: 0, to: 10_000 }, optional: true },
  lowSecondsPer60Deg: { quantity: 'timeS', limits: { above: 0, to: 60 }, optional: true },
  highSecondsPer60Deg: { quantity: 'timeS', limits: { above: 0, to: 60 }, optional: true },
};

/** What describes whatever hangs on a rail. */
export const LOAD_FIGURES: Figures<Pick<PowerLoad, 'minV' | 'maxV' | 'typicalA' | 'peakA'>> = {
  minV: { quantity: 'voltageV', limits: { from: 0, to: 1000 }, optional: true },
  maxV: { quantity: 'voltageV', limits: { above: 0, to: 1000 }, optional: true },
  typicalA: { quantity: 'currentA', limits: { from: 0, to: 1000 }, optional: true },
  peakA: { quantity: 'currentA', limits: { from: 0, to: 1000 }, optional: true },
};

/** What receiver and transmitter have to have in common. */
export const RADIO_FIGURES: Figures<Pick<Transmitter, 'protocol' | 'channels'>> = {
  protocol: { text: 40 },
  channels: { quantity: 'count', limits: { from: 1, to: 64 }, whole: true },
};

/** What describes a transmitter. */
export const TRANSMITTER_FIGURES: Figures<Transmitter> = {
  ...RADIO_FIGURES,
  rangeM: { quantity: 'distanceM', limits: { above: 0, to: 100_000 } },
};

import type { QuantityName } from '@/core/base/units/quantities';

/** What an axis measures, where its chart says nothing closer. */
export const AXIS_NAMES: { readonly [Q in QuantityName]?: string } = {
  lengthMm: 'length',
  distanceM: 'distance',
  massG: 'mass',
  speedMps: 'speed',
  timeS: 'time',
  millis: 'time',
  micros: 'pulse',
  minutes: 'time',
  hours: 'time',
  forceN: 'force',
  torqueNm: 'torque',
  powerW: 'power',
  energyWh: 'energy',
  voltageV: 'volts',
  currentA: 'current',
  rpm: 'speed of rotation',
  temperatureC: 'temperature',
  angleDeg: 'angle',
  rateDegPerS: 'rate of turn',
  stressMpa: 'stress',
  price: 'cost',
};

import type { Figures } from '../fields/figure';
import { HOUSINGS } from '../../physics/heat/thermalDefaults';
import { TYRE_KINDS } from '../../physics/tyres/tyreSpin';
import { type ChosenMotor, type ChosenTyre } from './drive';
import { MOTOR_KINDS } from './power';

/** What describes a motor. */
export const MOTOR_FIGURES: Figures<ChosenMotor> = {
  kind: { oneOf: MOTOR_KINDS, optional: true },
  kvRpmPerV: { quantity: 'motorConstant', limits: { above: 0, to: 100_000 } },
  resistanceMilliOhm: { quantity: 'resistanceMilliOhm', limits: { above: 0, to: 1_000_000 } },
  noLoadCurrentA: { quantity: 'currentA', limits: { from: 0, to: 1000 } },
  rotorInertiaKgM2: { quantity: 'inertiaKgM2', limits: { from: 0, to: 1 } },
  maxV: { quantity: 'voltageV', limits: { above: 0, to: 1000 } },
  massG: { quantity: 'massG', limits: { above: 0, to: 100_000 } },
  diameterMm: { quantity: 'lengthMm', limits: { above: 0, to: 1000 } },
  lengthMm: { quantity: 'lengthMm', limits: { above: 0, to: 1000 } },
  housing: { oneOf: HOUSINGS, optional: true },
};

/** How a tyre is built, of the kinds that are known. */
export const RING_KINDS = TYRE_KINDS.filter((kind) => kind !== 'own');

/** What describes a tyre besides its compound’s factors. */
export const TYRE_FIGURES: Figures<ChosenTyre, 'hardFactor' | 'looseFactor'> = {
  compound: { itemOf: 'compound' },
  radiusMm: { quantity: 'lengthMm', limits: { above: 0, to: 1000 } },
  massG: { quantity: 'massG', limits: { above: 0, to: 100_000 } },
  rateNPerMm: { quantity: 'rateNPerMm', limits: { above: 0, to: 10_000 }, optional: true },
  ring: { oneOf: RING_KINDS, optional: true },
};

/** What a compound does to the friction of a surface. */
export const COMPOUND_FIGURES: Figures<Pick<ChosenTyre, 'hardFactor' | 'looseFactor'>> = {
  hardFactor: { quantity: 'coefficient', limits: { above: 0, to: 5 } },
  looseFactor: { quantity: 'coefficient', limits: { above: 0, to: 5 } },
};

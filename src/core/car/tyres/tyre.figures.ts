import type { Figures } from '../fields/figure';
import { KNOWN_TYRE_KINDS } from '../../physics/tyres/tyreKinds';
import type { ChosenTyre, TyreHold } from './tyres';

/** What describes a tyre besides its compound’s factors. */
export const TYRE_FIGURES: Figures<ChosenTyre, 'hardFactor' | 'looseFactor'> = {
  compound: { itemOf: 'compound' },
  radiusMm: { quantity: 'lengthMm', limits: { above: 0, to: 1000 } },
  massG: { quantity: 'massG', limits: { above: 0, to: 100_000 } },
  rateNPerMm: { quantity: 'rateNPerMm', limits: { above: 0, to: 10_000 }, optional: true },
  ring: { oneOf: KNOWN_TYRE_KINDS, optional: true },
};

/** What a compound does to the friction of a surface. */
export const COMPOUND_FIGURES: Figures<Pick<ChosenTyre, 'hardFactor' | 'looseFactor'>> = {
  hardFactor: { quantity: 'coefficient', limits: { above: 0, to: 5 } },
  looseFactor: { quantity: 'coefficient', limits: { above: 0, to: 5 } },
};

/** How a tyre is made and sits on its rim, in figures. */
export const HOLD_FIGURES: Figures<Omit<TyreHold, 'by'>> = {
  rimRadiusMm: { quantity: 'lengthMm', limits: { above: 0, to: 1000 }, optional: true },
  widthMm: { quantity: 'lengthMm', limits: { above: 0, to: 1000 }, optional: true },
  densityKgM3: { quantity: 'densityKgM3', limits: { above: 0, to: 20_000 }, optional: true },
  hoopModulusMpa: { quantity: 'stressMpa', limits: { above: 0, to: 100_000 }, optional: true },
  hoopStrengthMpa: { quantity: 'stressMpa', limits: { above: 0, to: 10_000 }, optional: true },
  bondStrengthMpa: { quantity: 'stressMpa', limits: { above: 0, to: 1000 }, optional: true },
  bondShearMpa: { quantity: 'stressMpa', limits: { above: 0, to: 1000 }, optional: true },
  beadMm: { quantity: 'lengthMm', limits: { above: 0, to: 100 }, optional: true },
  screws: { quantity: 'count', limits: { from: 1, to: 60 }, whole: true, optional: true },
  screwPreloadN: { quantity: 'forceN', limits: { above: 0, to: 50_000 }, optional: true },
  interferenceMm: { quantity: 'lengthMm', limits: { above: 0, to: 100 }, optional: true },
  wallMm: { quantity: 'lengthMm', limits: { above: 0, to: 100 }, optional: true },
  insertDensityKgM3: { quantity: 'densityKgM3', limits: { from: 0, to: 2000 }, optional: true },
  pressureMpa: { quantity: 'stressMpa', limits: { from: 0, to: 1 }, optional: true },
  provenRpm: { quantity: 'rpm', limits: { above: 0, to: 300_000 }, optional: true },
};

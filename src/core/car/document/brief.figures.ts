import type { Figures } from '../fields/figure';
import type { ChosenSurface, SizeClass } from './brief';

/** What describes a surface. */
export const SURFACE_FIGURES: Figures<ChosenSurface, 'id' | 'lateralGripFactor' | 'muMeasured'> = {
  ground: { oneOf: ['hard', 'loose'] },
  mu: { quantity: 'coefficient', limits: { from: 0, to: 5 } },
  muError: { quantity: 'coefficient', limits: { from: 0, to: 5 } },
  rollingResistance: { quantity: 'coefficient', limits: { from: 0, to: 5 } },
  rollingResistanceError: { quantity: 'coefficient', limits: { from: 0, to: 5 } },
};

/** What describes a size class. */
export const SIZE_CLASS_FIGURES: Figures<SizeClass> = {
  massBudgetG: { quantity: 'massG', limits: { above: 0, to: 1_000_000 } },
};

import type { Figures } from '../fields/figure';
import { REFERENCE_C } from '../../physics/strength/softening';
import type { ChosenMaterial } from './material';

/** What describes a material. */
export const MATERIAL_FIGURES: Figures<ChosenMaterial> = {
  densityGPerCm3: { quantity: 'coefficient', limits: { above: 0, to: 25 } },
  modulusMpa: { quantity: 'stressMpa', limits: { above: 0, to: 1_000_000 } },
  inPlaneStrengthMpa: { quantity: 'stressMpa', limits: { above: 0, to: 10_000 } },
  interlayerStrengthMpa: { quantity: 'stressMpa', limits: { above: 0, to: 10_000 }, optional: true },
  interlayerShearMpa: { quantity: 'stressMpa', limits: { above: 0, to: 10_000 }, optional: true },
  strainAtBreakPct: { quantity: 'percent', limits: { above: 0, to: 2000 }, optional: true },
  softeningC: { quantity: 'temperatureC', limits: { above: REFERENCE_C, to: 2000 } },
  wearCoefficientMm3PerNm: { quantity: 'wearMm3PerNm', limits: { from: 0, to: 1 }, optional: true },
  modulusRatio: { quantity: 'coefficient', limits: { above: 0, to: 10 }, optional: true },
  poisson: { quantity: 'coefficient', limits: { from: 0, below: 0.5 }, optional: true },
  notchedImpactKJPerM2: { quantity: 'coefficient', limits: { above: 0, to: 1000 }, optional: true },
  pricePerKg: { quantity: 'coefficient', limits: { from: 0, to: 100_000 }, optional: true },
};

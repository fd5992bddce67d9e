import type { ThermalDefinition } from './thermal';

export const HOUSINGS = ['closed', 'vented', 'heatsink'] as const;
export type Housing = (typeof HOUSINGS)[number];

export interface MotorBody {
  massG: number;
  diameterMm: number;
  lengthMm: number;
  housing: Housing;
}

export type ThermalDefaults = Pick<
  ThermalDefinition,
  'windingHeatCapacityJPerK' | 'caseHeatCapacityJPerK' | 'windingToCaseKPerW' | 'caseToAmbientKPerW'
>;

/** Share of a motor's mass that is copper, and the rest; J/(kg K) of copper and of iron. */
const COPPER = { share: 0.25, heat: 385 };
const IRON = { share: 0.75, heat: 460 };
/** Winding to case of a motor of 100 g, K/W, and how it falls with the mass. */
const INSIDE_KPW = 1.2;
const INSIDE_MASS_KG = 0.1;
const INSIDE_EXPONENT = 0.67;
/** Heat that a square metre of the case gives off, W/(m² K). */
const SURFACE_W_PER_M2K: Readonly<Record<Housing, number>> = { closed: 12, vented: 25, heatsink: 45 };

/**
 * First guesses of a motor's thermal figures from its mass, size and housing; a measured temperature corrects them.
 *
 * @returns heat capacities in J/K, resistances in K/W
 * @see Incropera, Fundamentals of Heat and Mass Transfer, tables A.1 and 1.1 (specific heats, convection); the share of copper and the way inside by judgement
 */
export function motorThermalDefaults({ massG, diameterMm, lengthMm, housing }: MotorBody): ThermalDefaults {
  const massKg = massG / 1000;
  const diameterM = diameterMm / 1000;
  const areaM2 = Math.PI * diameterM * (lengthMm / 1000) + (Math.PI * diameterM ** 2) / 2;
  return {
    windingHeatCapacityJPerK: COPPER.share * massKg * COPPER.heat,
    caseHeatCapacityJPerK: IRON.share * massKg * IRON.heat,
    windingToCaseKPerW: INSIDE_KPW * (INSIDE_MASS_KG / massKg) ** INSIDE_EXPONENT,
    caseToAmbientKPerW: 1 / (SURFACE_W_PER_M2K[housing] * areaM2),
  };
}

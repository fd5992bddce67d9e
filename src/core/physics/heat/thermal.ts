import { refusal } from '../../base/errors';
import { type Measure, measure } from '../../base/measure';

declare module '../../base/errors' {
  interface RefusalFacts {
    'endurance.airOverLimit': { ambientC: Measure; reached: Measure };
  }
}

/** Two thermal masses of one motor, winding and case, and where they give their heat. */
export interface ThermalDefinition {
  /** J/K. */
  windingHeatCapacityJPerK: number;
  caseHeatCapacityJPerK: number;
  /** K/W. */
  windingToCaseKPerW: number;
  /** Of the standing car, K/W. */
  caseToAmbientKPerW: number;
  /** How much more the case gives off for every m/s of speed, share. */
  coolingPerMps?: number;
  ambientC: number;
  windingLimitC?: number;
  /** Where the plastic that holds the pinion or the motor softens. */
  caseLimitC?: number;
}

/** Copper's change of resistance, 1/K. Source: IEC 60028. */
export const COPPER_PER_K = 0.00393;
/** Temperature at which a winding's resistance is given, °C. */
export const COPPER_REFERENCE_C = 20;
export const USUAL_WINDING_LIMIT_C = 130;

/** Resistance of a winding at a temperature (°C), in the unit of its resistance at 20 °C. */
export const windingAt = (resistance: number, temperatureC: number) =>
  resistance * (1 + COPPER_PER_K * (temperatureC - COPPER_REFERENCE_C));

/** Losses of one motor, held over a while. */
export interface Losses {
  /** Square of the current times the resistance at 20 °C, W. */
  copperW: number;
  /** Idling losses, which heat the case, W. */
  frictionW: number;
  speedMps: number;
}

/** Winding and case, °C. */
export type Temperatures = readonly [windingC: number, caseC: number];

/**
 * Winding and case after a while at constant losses: the exact solution of the two linear equations. The rise of the
 * copper's resistance stays within them, so that a runaway shows as growth.
 *
 * C_w·dT_w/dt = I²·R_m(T_w) − (T_w − T_c)/R_wc; C_c·dT_c/dt = I_0·E + (T_w − T_c)/R_wc − (T_c − T_amb)·(1 + c·v)/R_ca
 * @see Incropera, Fundamentals of Heat and Mass Transfer, ch. 5 (lumped capacitance)
 */
export function heatedFor(
  [windingC, caseC]: Temperatures,
  losses: Losses,
  thermal: ThermalDefinition,
  seconds: number,
): Temperatures {
  const inside = 1 / thermal.windingToCaseKPerW;
  const outside = (1 + (thermal.coolingPerMps ?? 0) * losses.speedMps) / thermal.caseToAmbientKPerW;
  const cw = thermal.windingHeatCapacityJPerK;
  const cc = thermal.caseHeatCapacityJPerK;
  const growth = losses.copperW * COPPER_PER_K;
  const a = (growth - inside) / cw;
  const b = inside / cw;
  const c = inside / cc;
  const d = -(inside + outside) / cc;
  const rateW = a * windingC + b * caseC + (losses.copperW - growth * COPPER_REFERENCE_C) / cw;
  const rateC = c * windingC + d * caseC + (losses.frictionW + outside * thermal.ambientC) / cc;
  const half = 0.5 * Math.sqrt((a - d) ** 2 + 4 * b * c);
  const fast = 0.5 * (a + d) - half;
  const slow = 0.5 * (a + d) + half;
  const phiFast = meanGrowth(fast * seconds);
  const slope = (meanGrowth(slow * seconds) - phiFast) / (2 * half);
  return [
    windingC + seconds * (phiFast * rateW + slope * ((a - fast) * rateW + b * rateC)),
    caseC + seconds * (phiFast * rateC + slope * (c * rateW + (d - fast) * rateC)),
  ];
}

/** Above this exponent a runaway has long passed every limit. */
const MOST_GROWTH = 50;

/** (e^z − 1)/z. */
function meanGrowth(z: number): number {
  return Math.abs(z) < 1e-12 ? 1 : Math.expm1(Math.min(z, MOST_GROWTH)) / Math.min(z, MOST_GROWTH);
}

/** Where winding and case come to rest at constant losses; undefined where the copper's rise outruns the cooling. */
export function steadyAt(losses: Losses, thermal: ThermalDefinition): Temperatures | undefined {
  const outside = (1 + (thermal.coolingPerMps ?? 0) * losses.speedMps) / thermal.caseToAmbientKPerW;
  // all heat leaves through the case: outside·(T_c − T_amb) = friction + copper·(1 + α·(T_w − 20)), and T_w − T_c = R_wc·copper·(…)
  const path = thermal.windingToCaseKPerW + 1 / outside;
  const loop = 1 - losses.copperW * COPPER_PER_K * path;
  if (loop <= 0) return undefined;
  const rest = thermal.ambientC + losses.frictionW / outside;
  const copperW = (losses.copperW * (1 + COPPER_PER_K * (rest - COPPER_REFERENCE_C))) / loop;
  const caseC = rest + copperW / outside;
  return [caseC + copperW * thermal.windingToCaseKPerW, caseC];
}

/** A limit at or below the air is no limit. */
export function refuseColdLimits({
  ambientC,
  windingLimitC = USUAL_WINDING_LIMIT_C,
  caseLimitC,
}: ThermalDefinition): void {
  const reached = [windingLimitC, caseLimitC].find((limit) => limit !== undefined && limit <= ambientC);
  if (reached !== undefined)
    throw refusal('thermal.ambientC', 'endurance.airOverLimit', {
      ambientC: measure(ambientC, 'temperatureC', 4),
      reached: measure(reached, 'temperatureC', 4),
    });
}

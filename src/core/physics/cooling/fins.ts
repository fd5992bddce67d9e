import { GRAVITY } from '../../base/constants';
import { AIR } from './airflow';

/** Straight fins side by side on a face. */
export interface Fins {
  count: number;
  /** Along the air, m. */
  lengthM: number;
  heightM: number;
  thicknessM: number;
  /** Clear between two, m. */
  gapM: number;
}

/** Aluminium of sinks, W/(m K); anodised it radiates this share. Source: Incropera, tables A.1 and A.11. */
const [ALUMINIUM_W_PER_MK, EMISSIVITY] = [200, 0.8];
/** How much warmer than the air a sink is reckoned to be, K, for the lift of the air; it enters with its fourth root. */
const LIFT_K = 40;
const AIR_K = 303;
const STEFAN_BOLTZMANN = 5.67e-8;

/** Radiation of a face that is warm by so much, W/(m² K). */
const RADIATED = 4 * EMISSIVITY * STEFAN_BOLTZMANN * (AIR_K + LIFT_K / 2) ** 3;

/**
 * Convection between two upright plates in still air, W/(m² K).
 * @see Bar-Cohen and Rohsenow, J. Heat Transfer 106 (1984); Incropera eq. 9.45 (isothermal plates: 576 and 2.87)
 */
export function betweenPlates(gapM: number, lengthM: number): number {
  const rayleigh = (GRAVITY * LIFT_K * gapM ** 3) / (AIR_K * AIR.viscosity * AIR.diffusivity);
  const x = (rayleigh * gapM) / lengthM;
  return ((576 / x ** 2 + 2.87 / Math.sqrt(x)) ** -0.5 * AIR.conductivity) / gapM;
}

/** Convection along a plate, W/(m² K), laminar. Source: Incropera eq. 7.30. */
export const alongPlate = (lengthM: number, speedMps: number): number =>
  (0.664 * Math.sqrt((speedMps * lengthM) / AIR.viscosity) * AIR.prandtl ** (1 / 3) * AIR.conductivity) /
  lengthM;

/** Still and moving air together: the cubes add. Source: Incropera, section 9.9. */
export const together = (still: number, moving: number): number => Math.cbrt(still ** 3 + moving ** 3);

/** Share of a fin's area that counts, a thin straight one with a dead end. Source: Incropera eq. 3.94. */
export function finEfficiency({ heightM, thicknessM }: Fins, wPerM2K: number): number {
  const mh = heightM * Math.sqrt((2 * wPerM2K) / (ALUMINIUM_W_PER_MK * thicknessM));
  return mh < 1e-9 ? 1 : Math.tanh(mh) / mh;
}

/**
 * What a face with fins gives off, W/K: fins and the ground between them by convection, its outline by radiation.
 *
 * @param speedMps of the air between the fins
 * @see Incropera, Fundamentals of Heat and Mass Transfer, eq. 3.107 (arrays of fins)
 */
export function finnedWPerK(fins: Fins, speedMps: number): number {
  const { count, lengthM, heightM, thicknessM, gapM } = fins;
  const still = betweenPlates(gapM, lengthM);
  const h = speedMps > 0 ? together(still, alongPlate(lengthM, speedMps)) : still;
  const finM2 = 2 * count * heightM * lengthM;
  const groundM2 = Math.max(0, count - 1) * gapM * lengthM;
  const widthM = count * thicknessM + Math.max(0, count - 1) * gapM;
  const outlineM2 = (widthM + 2 * heightM) * lengthM;
  return h * (finEfficiency(fins, h) * finM2 + groundM2) + RADIATED * outlineM2;
}

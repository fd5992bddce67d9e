export interface BalanceInput {
  massG: number;
  /** g mm. */
  imbalanceGmm?: number;
  /** Of the centre of mass, in place of the imbalance. */
  eccentricityMm?: number;
  /** Turns a minute. */
  rpm: number;
  correctionRadiusMm: number;
}

export interface BalanceResult {
  forceN: number;
  correctionG: number;
  /** mm/s, as ISO 21940 grades it. */
  balanceQualityMmps: number;
}

const KG_M_PER_G_MM = 1e-6;

/**
 * What an imbalance pulls at a speed, and what to stick on opposite it.
 *
 * @returns N, g, and the balance quality in mm/s
 * @see ISO 21940-11 (balance quality grades)
 */
export function wheelBalance({
  massG,
  imbalanceGmm,
  eccentricityMm,
  rpm,
  correctionRadiusMm,
}: BalanceInput): BalanceResult {
  const imbalance = imbalanceGmm ?? massG * eccentricityMm!;
  const omega = (rpm * 2 * Math.PI) / 60;
  return {
    forceN: imbalance * KG_M_PER_G_MM * omega ** 2,
    correctionG: imbalance / correctionRadiusMm,
    balanceQualityMmps: (imbalance / massG) * omega,
  };
}

/** Copy of a material's figures, as a gear, a hub or a shaft is made of it. */
export interface ChosenMaterial {
  libraryId?: string;
  name: string;
  densityGPerCm3: number;
  /** In the layers' plane. */
  modulusMpa: number;
  /** In the layers' plane; the yield of a metal. */
  inPlaneStrengthMpa: number;
  softeningC: number;
  /** Stiffness across the layers over that in their plane. */
  modulusRatio?: number;
  poisson?: number;
  /** Pulled apart and sheared between layers; a material without layers has neither. */
  interlayerStrengthMpa?: number;
  interlayerShearMpa?: number;
  strainAtBreakPct?: number;
  notchedImpactKJPerM2?: number;
  pricePerKg?: number;
  /** Of its flank on a harder one; left out where it hardly wears. */
  wearCoefficientMm3PerNm?: number;
}

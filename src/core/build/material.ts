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
  /** Of its flank on a harder one; left out where it hardly wears. */
  wearCoefficientMm3PerNm?: number;
}

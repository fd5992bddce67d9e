import { defineLibraryKind } from './define';
import { type ChosenMaterial } from '../../material/material';
import { MATERIAL_FIGURES } from '../../material/material.figures';
import type { StripTest } from '../../material/strips';

/** A material as the workshop knows it: typical figures, how far apart they are, and strips of its own that were broken. */
export interface LibraryMaterial extends Omit<ChosenMaterial, 'libraryId'> {
  ranges?: Readonly<Partial<Record<RangedFigure, readonly [number, number]>>>;
  source?: string;
  strips?: StripTest[];
}

export const RANGED_FIGURES = ['modulusMpa', 'inPlaneStrengthMpa', 'interlayerStrengthMpa'] as const;
export type RangedFigure = (typeof RANGED_FIGURES)[number];

export const material = defineLibraryKind<LibraryMaterial, 'ranges' | 'source' | 'strips'>({
  figures: MATERIAL_FIGURES,
  blank: {
    densityGPerCm3: 1.2,
    modulusMpa: 2000,
    inPlaneStrengthMpa: 45,
    interlayerStrengthMpa: 25,
    interlayerShearMpa: 20,
    strainAtBreakPct: 5,
    softeningC: 80,
    wearCoefficientMm3PerNm: 1e-5,
  },
  tells: ['inPlaneStrengthMpa', 'modulusMpa', 'softeningC'],
});

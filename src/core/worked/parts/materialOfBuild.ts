import type { ChosenMaterial } from '../../car/material/material';
import { inPlaneShearMpa, type StrengthMaterial } from '../../physics/strength/allowable';

/** The figures of a copy as strength reckons with them; what has no layers is alike in all directions. */
export function strengthOf({
  libraryId: _,
  name: __,
  wearCoefficientMm3PerNm: ___,
  ...figures
}: ChosenMaterial): StrengthMaterial {
  return {
    ...figures,
    interlayerStrengthMpa: figures.interlayerStrengthMpa ?? figures.inPlaneStrengthMpa,
    interlayerShearMpa: figures.interlayerShearMpa ?? inPlaneShearMpa(figures),
  };
}

/** Whether it is laid down in layers that part more easily than they tear. */
export const hasLayers = ({
  interlayerStrengthMpa,
}: Pick<ChosenMaterial, 'interlayerStrengthMpa'>): boolean => interlayerStrengthMpa !== undefined;

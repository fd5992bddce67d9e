import { defineLibraryKind } from './define';
import { type ChosenSurface } from '../../document/brief';
import { SURFACE_FIGURES } from '../../document/brief.figures';

export type SurfaceFigures = Omit<ChosenSurface, 'id' | 'libraryId' | 'lateralGripFactor' | 'muMeasured'>;

export const surface = defineLibraryKind<SurfaceFigures>({
  figures: SURFACE_FIGURES,
  blank: { ground: 'hard', mu: 0.7, muError: 0.1, rollingResistance: 0.03, rollingResistanceError: 0.01 },
  tells: ['mu'],
});

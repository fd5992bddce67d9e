import { defineLibraryKind } from './define';
import { type ChosenTyre } from '../../tyres/tyres';
import { TYRE_FIGURES } from '../../tyres/tyre.figures';

export type TyreFigures = Omit<ChosenTyre, 'libraryId' | 'hardFactor' | 'looseFactor'>;

export const tyre = defineLibraryKind<TyreFigures>({
  figures: TYRE_FIGURES,
  blank: { compound: 'compound-soft', radiusMm: 40, massG: 45, rateNPerMm: 10, ring: 'solid rubber' },
  tells: ['radiusMm', 'ring'],
});

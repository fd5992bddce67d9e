import { defineLibraryKind } from './define';
import { type ChosenTyre } from '../../tyres/tyres';
import { COMPOUND_FIGURES } from '../../tyres/tyre.figures';

export type CompoundFigures = { name: string } & Pick<ChosenTyre, 'hardFactor' | 'looseFactor'>;

export const compound = defineLibraryKind<CompoundFigures>({
  figures: COMPOUND_FIGURES,
  blank: { hardFactor: 1, looseFactor: 1 },
  tells: ['hardFactor', 'looseFactor'],
});

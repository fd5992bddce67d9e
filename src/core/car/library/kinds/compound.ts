import { defineLibraryKind } from './define';
import { type ChosenTyre } from '../../document/drive';
import { COMPOUND_FIGURES } from '../../document/drive.figures';

export type CompoundFigures = { name: string } & Pick<ChosenTyre, 'hardFactor' | 'looseFactor'>;

export const compound = defineLibraryKind<CompoundFigures>({
  figures: COMPOUND_FIGURES,
  blank: { hardFactor: 1, looseFactor: 1 },
  tells: ['hardFactor', 'looseFactor'],
});

import { defineLibraryKind } from './define';
import { type SizeClass } from '../../document/brief';
import { SIZE_CLASS_FIGURES } from '../../document/brief.figures';

export type SizeClassFigures = Omit<SizeClass, 'libraryId'>;

export const sizeClass = defineLibraryKind<SizeClassFigures>({
  figures: SIZE_CLASS_FIGURES,
  blank: { massBudgetG: 2000 },
  tells: ['massBudgetG'],
});

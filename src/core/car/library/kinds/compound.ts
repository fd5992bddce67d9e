import { defineLibraryKind } from './define';
import { type ChosenTyre } from '../../document/drive';
import { COMPOUND_FIGURES } from '../../document/drive.figures';

export type CompoundFigures = { name: string } & Pick<ChosenTyre, 'hardFactor' | 'looseFactor'>;

/** Factors on a surface's friction. */
const STARTING_COMPOUNDS: readonly { id: string; data: CompoundFigures }[] = [
  { id: 'compound-soft', data: { name: 'Soft rubber', hardFactor: 1, looseFactor: 1 } },
  {
    id: 'compound-belted',
    data: { name: 'Belted rubber', hardFactor: 1, looseFactor: 0.95 },
  },
  {
    id: 'compound-hard',
    data: { name: 'Hard rubber', hardFactor: 0.8, looseFactor: 0.95 },
  },
  { id: 'compound-foam', data: { name: 'Foam', hardFactor: 1.05, looseFactor: 0.7 } },
  {
    id: 'compound-printed',
    data: { name: 'Printed flexible', hardFactor: 0.6, looseFactor: 0.75 },
  },
];

export const compound = defineLibraryKind<CompoundFigures>({
  figures: COMPOUND_FIGURES,
  blank: { hardFactor: 1, looseFactor: 1 },
  tells: ['hardFactor', 'looseFactor'],
  starting: STARTING_COMPOUNDS,
});

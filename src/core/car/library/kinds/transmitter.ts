import { defineLibraryKind } from './define';
import { type Transmitter } from '../../document/power';
import { TRANSMITTER_FIGURES } from '../../document/power.figures';

export type TransmitterFigures = Omit<Transmitter, 'libraryId'>;

export const transmitter = defineLibraryKind<TransmitterFigures>({
  figures: TRANSMITTER_FIGURES,
  blank: { protocol: '', channels: 3, rangeM: 200 },
  tells: ['protocol', 'channels'],
});

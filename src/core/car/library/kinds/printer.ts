import { defineLibraryKind } from './define';
import { type ChosenPrinter } from '../../document/print';
import { PRINTER_FIGURES } from '../../document/print.figures';

export type PrinterFigures = Omit<ChosenPrinter, 'id' | 'libraryId'>;

export const printer = defineLibraryKind<PrinterFigures>({
  figures: PRINTER_FIGURES,
  blank: { bedWidthMm: 220, bedDepthMm: 220, bedHeightMm: 250, speedMmps: 80, maxFlowMm3ps: 11 },
  tells: ['bedWidthMm', 'bedDepthMm', 'bedHeightMm'],
});

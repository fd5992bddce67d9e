import type { Figures } from '../fields/figure';
import type { ChosenPrinter } from './print';

/** What describes a printer. */
export const PRINTER_FIGURES: Figures<ChosenPrinter, 'id'> = {
  bedWidthMm: { quantity: 'lengthMm', limits: { above: 0, to: 2000 } },
  bedDepthMm: { quantity: 'lengthMm', limits: { above: 0, to: 2000 } },
  bedHeightMm: { quantity: 'lengthMm', limits: { above: 0, to: 2000 } },
  speedMmps: { quantity: 'printMmps', limits: { above: 0, to: 2000 } },
  maxFlowMm3ps: { quantity: 'flowMm3ps', limits: { above: 0, to: 500 } },
};

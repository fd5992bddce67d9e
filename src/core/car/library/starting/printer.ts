import type { PrinterFigures } from '../kinds/printer';

const printerOf = (
  id: string,
  name: string,
  bed: readonly [number, number, number],
  speedMmps: number,
  maxFlowMm3ps: number,
): { id: string; data: PrinterFigures } => ({
  id: `printer-${id}`,
  data: { name, bedWidthMm: bed[0], bedDepthMm: bed[1], bedHeightMm: bed[2], speedMmps, maxFlowMm3ps },
});

/** Usual sizes of bed with the speed and the flow that they are sold with; measure yours. */
export const STARTING_PRINTERS: readonly { id: string; data: PrinterFigures }[] = [
  printerOf('small', 'Small bed, 180 mm', [180, 180, 180], 150, 15),
  printerOf('usual', 'Usual bed, 220 mm', [220, 220, 250], 80, 11),
  printerOf('quick', 'Quick, enclosed, 256 mm', [256, 256, 256], 200, 24),
  printerOf('large', 'Large bed, 350 mm', [350, 350, 350], 120, 20),
];

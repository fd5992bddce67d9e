import type { PrintHow } from '../../car/records/prints';
import type { BuildDocument } from '../../car/document/document';
import type { Part } from '../../car/parts/parts';
import { type ChosenPrinter, type PrintProfile, USUAL_DRAFT, USUAL_FINAL } from '../../car/document/print';
import type { Assembled } from '../../base/assembled';
import { misfitOf } from '../../physics/printing/misfit';
import { liesOf } from './lies';
import { type PrinterTimes, timeFactor } from './printerTimes';
import { USUAL_LINE_MM } from '../parts/partSection';
import { type EstimateResult, printEstimate, type PrintSettings } from '../../physics/printing/estimate';

/** The part as it would be printed: a draft has the build's draft figures, a final print its own. */
export function printedAs(document: BuildDocument, part: Part, how: PrintHow): Part {
  if (how === 'final') return part;
  const { perimeters, infill } = { ...USUAL_DRAFT, ...document.print.draft };
  return { ...part, perimeters, infill };
}

/** Settings by which a part is printed on a printer. */
export function settingsOf(
  document: BuildDocument,
  part: Part,
  how: PrintHow,
  printer: Pick<ChosenPrinter, 'speedMmps' | 'maxFlowMm3ps'>,
): PrintSettings {
  const profile: Required<PrintProfile> = {
    ...(how === 'draft' ? USUAL_DRAFT : USUAL_FINAL),
    ...document.print[how],
  };
  const own = printedAs(document, part, how);
  return {
    layerMm: profile.layerMm,
    lineWidthMm: own.lineMm ?? USUAL_LINE_MM,
    perimeters: own.perimeters ?? profile.perimeters,
    topBottomLayers: profile.topBottomLayers,
    infillPct: 100 * (own.infill ?? profile.infill),
    speedMmps: printer.speedMmps,
    maxFlowMm3ps: printer.maxFlowMm3ps,
  };
}

export interface PartEstimate extends Omit<EstimateResult, 'cost'> {
  settings: PrintSettings;
  /** None where the material has no price. */
  cost?: number;
  printer: ChosenPrinter;
}

/** The printer with the smallest bed that holds a part. */
export function printerFor(document: BuildDocument, part: Part): ChosenPrinter | undefined {
  const lies = liesOf(part.mesh);
  return (
    lies &&
    [...(document.print.printers ?? [])]
      .sort((a, b) => a.bedWidthMm * a.bedDepthMm - b.bedWidthMm * b.bedDepthMm)
      .find(
        ({ bedWidthMm, bedDepthMm, bedHeightMm }) =>
          misfitOf({ id: part.id, sizeMm: lies.sizeMm }, [bedWidthMm, bedDepthMm], bedHeightMm) === undefined,
      )
  );
}

/**
 * Time, plastic and cost of one copy, or what is missing: a mesh, a material, a printer that holds it.
 *
 * @param times that prints on the printers took over their estimate
 */
export function estimateOfPart(
  document: BuildDocument,
  part: Part,
  how: PrintHow,
  times: PrinterTimes = [],
  printer = printerFor(document, part),
): Assembled<PartEstimate> {
  const lies = liesOf(part.mesh);
  const missing = [
    ...(lies ? [] : [`parts.items.${part.id}.mesh${part.mesh ? ':measured' : ''}`]),
    ...(part.material ? [] : [`parts.items.${part.id}.material`]),
    ...((document.print.printers ?? []).length === 0
      ? ['print.printers']
      : lies && !printer
        ? ['print.printers:holds']
        : []),
  ];
  if (!lies || !part.material || !printer) return { ok: false, missing };
  if (lies.volumeMm3 <= 0) return { ok: false, missing: [`parts.items.${part.id}.mesh:volume`] };
  const { pricePerKg, densityGPerCm3 } = part.material;
  const settings = settingsOf(document, part, how, printer);
  const { cost, ...found } = printEstimate({
    volumeMm3: lies.volumeMm3,
    areaMm2: lies.areaMm2,
    horizontalAreaMm2: lies.horizontalAreaMm2,
    heightMm: lies.sizeMm[2],
    settings,
    material: { densityGPerCm3, pricePerKg: pricePerKg ?? 0 },
    calibration: timeFactor(times, printer.name, part.material.name),
  });
  return { ok: true, value: { ...found, settings, printer, ...(pricePerKg === undefined ? {} : { cost }) } };
}

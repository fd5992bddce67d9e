import type { BuildDocument } from '../../car/document/document';
import type { Part, PartLies } from '../../car/parts/parts';
import type { ChosenPrinter } from '../../car/document/print';
import { type Misfit, misfitOf, type PlatePart } from '../../physics/printing/misfit';
import { liesOf } from './lies';
import { printedParts } from './log';

/** A printed part whose mesh lies on the bed. */
export interface Lying {
  part: Part;
  lies: PartLies;
}

export const lyingParts = (document: BuildDocument): Lying[] =>
  printedParts(document).flatMap((part) => {
    const lies = liesOf(part.mesh);
    return lies ? [{ part, lies }] : [];
  });

/** Printed parts that fit none of the build's beds as they lie. */
export function misfitsOf(document: BuildDocument, lying: readonly Lying[] = lyingParts(document)): Misfit[] {
  const printers = document.print.printers ?? [];
  if (printers.length === 0 || lying.length === 0) return [];
  return misfitsOnBeds(
    printers,
    lying.map(({ part, lies }) => ({ id: part.id, sizeMm: lies.sizeMm })),
  );
}

/** Parts that fit none of the beds, with how near each comes on the largest. */
export function misfitsOnBeds(printers: readonly ChosenPrinter[], parts: readonly PlatePart[]): Misfit[] {
  const tries = [...printers].sort((a, b) => areaOf(a) - areaOf(b));
  return parts.flatMap((part) => {
    const found = tries.map(({ bedWidthMm, bedDepthMm, bedHeightMm }) =>
      misfitOf(part, [bedWidthMm, bedDepthMm], bedHeightMm),
    );
    return found.some((one) => one === undefined) ? [] : (found.at(-1) ?? []);
  });
}

export const areaOf = ({ bedWidthMm, bedDepthMm }: ChosenPrinter) => bedWidthMm * bedDepthMm;

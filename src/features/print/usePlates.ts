import { useMemo } from 'react';
import type { BuildDocument } from '@/core/car/document/document';
import type { Part } from '@/core/car/parts/parts';
import { liesOf } from '@/core/worked/print/lies';
import { type BedsResult, platesOnBeds } from '@/core/worked/print/beds';
import { type Owed, owedOf, printedParts } from '@/core/worked/print/log';
import { type PrinterTimes, printerTimesOfBuild } from '@/core/worked/print/printerTimes';
import { marginAs } from '@/core/worked/print/marginAs';
import { estimateOfPart, type PartEstimate, printerFor } from '@/core/worked/print/printed';
import type { ChosenPrinter } from '@/core/car/document/print';
import type { PrintHow } from '@/core/car/records/prints';
import { useBuild } from '../session/BuildContext';

/** A printed part with what either way of printing it takes. */
export interface PlannedPart {
  part: Part;
  owed: Owed;
  times: Partial<Record<PrintHow, PartEstimate>>;
  /** Weakest margin, where its strength is known. */
  margins: Partial<Record<PrintHow, number>>;
  missing: readonly string[];
}

export interface Plan {
  parts: PlannedPart[];
  beds: BedsResult;
  /** Of the copies that are on the plates. */
  massG: number;
  cost: number | undefined;
  /** What prints on the printers took over their estimate. */
  printed: PrinterTimes;
}

/** Times of every printed part, and the plates for the copies that were asked for. */
export function usePlates(
  document: BuildDocument,
  how: PrintHow,
  counts: Readonly<Record<string, number>>,
): Plan {
  const { prints, copies, finishedPrints, surface, revisions } = useBuild();
  const printers = useMemo(() => document.print.printers ?? [], [document]);
  const printed = useMemo(() => printerTimesOfBuild(prints, finishedPrints), [prints, finishedPrints]);
  const parts = useMemo(() => {
    const owed = owedOf({ document, revisions, prints, copies });
    return printedParts(document).map((part): PlannedPart => {
      const [draft, final] = (['draft', 'final'] as const).map((one) =>
        estimateOfPart(document, part, one, printed),
      );
      const [draftMargin, finalMargin] = (['draft', 'final'] as const).map((one) =>
        marginAs(document, surface, part, one),
      );
      return {
        part,
        owed: owed.find((one) => one.part.id === part.id)!,
        times: {
          ...(draft!.ok ? { draft: draft!.value } : {}),
          ...(final!.ok ? { final: final!.value } : {}),
        },
        margins: {
          ...(draftMargin === undefined ? {} : { draft: draftMargin }),
          ...(finalMargin === undefined ? {} : { final: finalMargin }),
        },
        missing: final!.ok ? [] : final!.missing,
      };
    });
  }, [document, revisions, prints, copies, surface, printed]);
  return useMemo(() => {
    const asked = parts.flatMap(({ part, owed, times }) => {
      const quantity = counts[part.id] ?? owed.owed;
      const time = times[how];
      const lies = liesOf(part.mesh);
      const timeOn = (printer: ChosenPrinter) => {
        const found = estimateOfPart(document, part, how, printed, printer);
        return found.ok ? found.value.timeS : 0;
      };
      // one that no bed holds is laid out all the same, so that it is named
      return quantity > 0 && lies && (time || !printerFor(document, part))
        ? [{ id: part.id, sizeMm: lies.sizeMm, quantity, ...(time ? { time } : {}), timeOn }]
        : [];
    });
    const beds = platesOnBeds(
      printers,
      asked.map(({ time: _, ...one }) => one),
      document.print.spacingMm,
    );
    const laid = new Set(beds.plates.flatMap(({ items }) => items.map(({ id }) => id)));
    const on = asked.filter(({ id }) => laid.has(id));
    const priced = on.every(({ time }) => time?.cost !== undefined);
    return {
      parts,
      beds,
      printed,
      massG: on.reduce((sum, { time, quantity }) => sum + (time?.massG ?? 0) * quantity, 0),
      cost: priced ? on.reduce((sum, { time, quantity }) => sum + time!.cost! * quantity, 0) : undefined,
    };
  }, [document, printers, parts, how, counts, printed]);
}

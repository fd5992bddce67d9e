import type { PrintSheet } from '../../car/records/prints';
import { type CalibrateResult, printCalibrate } from '../../physics/printing/calibrate';

/** What the finished prints of one printer took over their estimate. */
export interface PrinterTime extends CalibrateResult {
  printer: string;
  /** Of prints in this plastic alone; all of the printer's where not given. */
  material?: string;
  /** Prints. */
  n: number;
}

export type PrinterTimes = readonly PrinterTime[];

/** Every printer's own factor, and within it that of each plastic: each flows, cools and retracts in its own time. */
export function printerTimesOf(prints: readonly PrintSheet[]): PrinterTime[] {
  const groups = new Map<
    string,
    { printer: string; material?: string; done: { estimateS: number; actualS: number }[] }
  >();
  const add = (
    printer: string,
    material: string | undefined,
    one: { estimateS: number; actualS: number },
  ) => {
    const key = JSON.stringify([printer, material]);
    const known = groups.get(key);
    if (known) known.done.push(one);
    else groups.set(key, { printer, ...(material === undefined ? {} : { material }), done: [one] });
  };
  for (const { state, printer, items, estimateS, actualS } of prints) {
    if (state !== 'finished' || estimateS === undefined || actualS === undefined) continue;
    add(printer, undefined, { estimateS, actualS });
    const material = onlyMaterialOf(items);
    if (material !== undefined) add(printer, material, { estimateS, actualS });
  }
  return [...groups.values()].map(({ done, ...group }) => ({
    ...group,
    ...printCalibrate({ prints: done }),
    n: done.length,
  }));
}

/** The plastic of a plate that has but one. */
export function onlyMaterialOf(items: PrintSheet['items']): string | undefined {
  const [material, ...others] = new Set(items.map((item) => item.material));
  return others.length === 0 ? material : undefined;
}

/** The same of a workshop; the prints of the build itself as they stand now. */
export function printerTimesOfBuild(
  prints: readonly PrintSheet[],
  finished: readonly PrintSheet[],
): PrinterTime[] {
  const known = new Set(prints.map(({ id }) => id));
  return printerTimesOf([...prints, ...finished.filter(({ id }) => !known.has(id))]);
}

/** What a print on a printer in a plastic takes over its estimate: by prints in that plastic, else by all of the printer's, else 1. */
export function timeFactor(times: PrinterTimes, printer: string, material?: string): number {
  const own = times.filter((one) => one.printer === printer);
  const found =
    own.find((one) => one.material !== undefined && one.material === material) ??
    own.find((one) => one.material === undefined);
  return found?.calibration ?? 1;
}

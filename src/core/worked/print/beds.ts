import type { ChosenPrinter } from '../../car/document/print';
import type { Misfit, PlatePart } from '../../physics/printing/misfit';
import { areaOf, misfitsOnBeds } from './misfits';
import { type PlateItem, printPlates } from '../../physics/printing/plates';

/** One of a part that is to be printed, with the time of a copy on a printer. */
export interface BedPart extends PlatePart {
  timeOn(printer: ChosenPrinter): number;
}

export interface BedPlate {
  printer: ChosenPrinter;
  items: PlateItem[];
  usedPct: number;
  timeS: number;
  /** After the plates before it on the same printer. */
  startsS: number;
}

export interface BedsResult {
  plates: BedPlate[];
  /** Fits none of the beds; how near it comes on the largest of them. */
  doesNotFit: Misfit[];
  /** Until the last plate is done. */
  timeS: number;
}

/**
 * Parts laid on the beds at hand: each bed takes what fits it in turn, and every plate goes to the printer that would have it
 * done first (list scheduling, the longest first).
 *
 * @returns places in mm, times in s
 * @see Graham, Bounds on Multiprocessing Timing Anomalies (1969)
 */
export function platesOnBeds(
  printers: readonly ChosenPrinter[],
  parts: readonly BedPart[],
  spacingMm?: number,
): BedsResult {
  const partOf = new Map(parts.map((part) => [part.id, part]));
  const timeOn = (printer: ChosenPrinter, items: readonly PlateItem[]) =>
    items.reduce((sum, { id }) => sum + partOf.get(id)!.timeOn(printer), 0);
  const misfits = misfitsOnBeds(printers, parts);
  let left = parts;
  const packed: { printer: ChosenPrinter; items: PlateItem[]; usedPct: number; timeS: number }[] = [];
  const bySize = [...printers].sort((a, b) => areaOf(a) - areaOf(b));
  for (const printer of bySize) {
    if (left.length === 0) break;
    const { plates, doesNotFit } = printPlates({
      bedMm: [printer.bedWidthMm, printer.bedDepthMm],
      heightMm: printer.bedHeightMm,
      ...(spacingMm === undefined ? {} : { spacingMm }),
      parts: left,
    });
    packed.push(
      ...plates.map((plate) => ({
        printer,
        ...plate,
        timeS: timeOn(printer, plate.items),
      })),
    );
    const out = new Set(doesNotFit.map(({ id }) => id));
    left = left.filter(({ id }) => out.has(id));
  }
  const busy = new Map(printers.map(({ id }) => [id, 0]));
  const plates = packed
    .sort((a, b) => b.timeS - a.timeS)
    .map((plate): BedPlate => {
      const able = printers.filter((one) => holds(one, plate.printer));
      const doneOn = (one: ChosenPrinter) => busy.get(one.id)! + timeOn(one, plate.items);
      const printer = able.reduce((best, one) => (doneOn(one) < doneOn(best) ? one : best));
      const startsS = busy.get(printer.id)!;
      busy.set(printer.id, doneOn(printer));
      return {
        ...plate,
        printer,
        timeS: timeOn(printer, plate.items),
        usedPct: (plate.usedPct * areaOf(plate.printer)) / areaOf(printer),
        startsS,
      };
    });
  return { plates, doesNotFit: misfits, timeS: Math.max(0, ...busy.values()) };
}

/** A plate packed for one bed lies on any that is no smaller. */
const holds = (one: ChosenPrinter, packedFor: ChosenPrinter) =>
  one.bedWidthMm >= packedFor.bedWidthMm &&
  one.bedDepthMm >= packedFor.bedDepthMm &&
  one.bedHeightMm >= packedFor.bedHeightMm;

/** Moves one thing of a plate as far as the bed goes; says whether it then lies too near to another. */
export function nudged(
  items: readonly PlateItem[],
  index: number,
  byMm: readonly [number, number],
  sizeOf: (id: string) => readonly [number, number],
  bedMm: readonly [number, number],
  spacingMm: number,
): { items: PlateItem[]; tooNear: boolean } {
  const box = ({ id, turned }: PlateItem) =>
    turned ? ([sizeOf(id)[1], sizeOf(id)[0]] as const) : sizeOf(id);
  const one = items[index]!;
  const [w, d] = box(one);
  const within = (value: number, most: number) => Math.min(Math.max(0, value), Math.max(0, most));
  const moved = {
    ...one,
    xMm: within(one.xMm + byMm[0], bedMm[0] - w),
    yMm: within(one.yMm + byMm[1], bedMm[1] - d),
  };
  const tooNear = items.some((other, at) => {
    if (at === index) return false;
    const [ow, od] = box(other);
    const [dx, dy] = [
      Math.max(other.xMm - moved.xMm - w, moved.xMm - other.xMm - ow, 0),
      Math.max(other.yMm - moved.yMm - d, moved.yMm - other.yMm - od, 0),
    ];
    return Math.hypot(dx, dy) < spacingMm - 1e-6;
  });
  return { items: items.with(index, moved), tooNear };
}

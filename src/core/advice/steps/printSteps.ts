import { finding } from '../../base/finding';
import type { BuildOnRecord } from '../../verdict/engine/onRecord';
import { livesOfCopies } from '../../worked/field/lives';
import { wearOf } from '../../worked/field/wear';
import { owedOf } from '../../worked/print/log';
import { estimateOfPart } from '../../worked/print/printed';
import type { PrinterTimes } from '../../worked/print/printerTimes';
import type { NextCost } from './definition';
import { type Bare, MINUTES, RELIEF, step } from './bareStep';

export const WORN_SOON_H = 2;

/** Copies in use that a caliper says are spent soon. */
export function copiesWorn({ copies, runs, document }: BuildOnRecord, printed: PrinterTimes): Bare[] {
  const lives = livesOfCopies(copies, runs);
  return copies
    .filter(({ retiredAt }) => retiredAt === undefined)
    .flatMap((copy) =>
      wearOf(copy.readings ?? [], lives.get(copy.id)?.hours)
        .filter(({ hoursLeft }) => hoursLeft !== undefined && hoursLeft < WORN_SOON_H)
        .map((wear) =>
          step({
            id: `worn:${copy.id}:${wear.of}`,
            kind: 'print',
            segment: 'print',
            title: finding('step.printAnother', { part: copy.partName }),
            why: [finding('step.worn', { of: wear.of, wear })],
            cost: timeOf(document, copy.partId, 1, printed),
            relief: RELIEF.worn,
          }),
        ),
    );
}

export function partsToPrint(record: BuildOnRecord, printed: PrinterTimes): Bare[] {
  const { document } = record;
  const owed = (document.print.printers ?? []).length > 0 ? owedOf(record).filter((one) => one.owed > 0) : [];
  if (owed.length === 0) return [];
  const costs = owed.map(({ part, owed: times }) => timeOf(document, part.id, times, printed));
  const sum = (key: 'printS' | 'money') => costs.reduce((all, one) => all + (one[key] ?? 0), 0);
  return [
    step({
      id: 'print:owed',
      kind: 'print',
      segment: 'print',
      title: finding('step.printOwed', {
        owed: owed.map(({ part, owed: count }) => ({ part: part.name, count })),
      }),
      why: [finding('step.spareReady', {})],
      cost: {
        benchMinutes: MINUTES.plate,
        ...(sum('printS') > 0 ? { printS: sum('printS') } : {}),
        ...(sum('money') > 0 ? { money: sum('money') } : {}),
      },
      relief: RELIEF.queue,
    }),
  ];
}
export function timeOf(
  document: BuildOnRecord['document'],
  partId: string | undefined,
  times: number,
  printed: PrinterTimes,
): NextCost {
  const part = document.parts.items.find(({ id }) => id === partId);
  const found = part && estimateOfPart(document, part, 'final', printed);
  return {
    benchMinutes: MINUTES.plate,
    ...(found?.ok
      ? {
          printS: times * found.value.timeS,
          ...(found.value.cost === undefined ? {} : { money: times * found.value.cost }),
        }
      : {}),
  };
}

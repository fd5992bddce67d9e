import type { BuildDocument } from '@/core/car/document/document';
import type { ChosenPrinter, ListEntry } from '@/core/car/document/print';
import { STARTING_LIBRARY } from '@/core/car/library/starting';
import { itemsOf } from '@/core/car/library/items';
import { normalFrom } from '@/core/base/numeric/random';
import type { CopySheet, PrintSheet, WearPlace, PrintHow } from '@/core/car/records/prints';
import { estimateOfPart } from '@/core/worked/print/printed';

type MarshHareLetter = 'A' | 'B' | 'C' | 'D';

export const printer = (id: string): ChosenPrinter => ({
  id,
  libraryId: `printer-${id}`,
  ...itemsOf(STARTING_LIBRARY, 'printer').find((item) => item.id === `printer-${id}`)!.data,
});

/** The builder's own bed, and the large one of the club. */
export const marshHarePrinters = [printer('usual'), printer('large')];

const pair = (id: string): ListEntry => ({ id: `part.${id}`, quantity: 2 });

export const marshHareList: ListEntry[] = [
  ...['armFront', 'armRear', 'carrier', 'knuckle', 'steeringArm', 'frontLink', 'tower'].map(pair),
  { id: 'part.pinion', source: 'bought', massG: 6, price: 5.5, leadDays: 4, onHand: 1 },
  { id: 'part.bevelPair', source: 'salvaged', quantity: 2, massG: 38, price: 0 },
  { id: 'part.shaft', source: 'made', massG: 31, price: 3.2 },
  { id: 'motor', source: 'bought', price: 49, leadDays: 5 },
  { id: 'tyre', source: 'bought', price: 7.5, leadDays: 5 },
  { id: 'battery', source: 'bought', price: 34, leadDays: 5, onHand: 1 },
  { id: 'controller', source: 'bought', price: 58, leadDays: 5 },
  { id: 'rail.own', source: 'salvaged', price: 0 },
  { id: 'load.receiver', source: 'salvaged', massG: 9, price: 0 },
  { id: 'load.servo', source: 'bought', price: 24, leadDays: 5 },
  { id: 'transmitter', source: 'salvaged', price: 0 },
  { id: 'hardware.pin-3-52-mm', massG: 2.9, price: 0.6 },
  { id: 'hardware.pin-3-26-mm', massG: 1.4, price: 0.4 },
  { id: 'hardware.pin-3-12-mm', massG: 0.7, price: 0.3 },
  { id: 'hardware.bearing-6-13-5-mm', massG: 2.6, price: 1.1, onHand: 4 },
  { id: 'hardware.bearing-6-10-3-mm', massG: 0.8, price: 0.9, onHand: 2 },
  { id: 'hardware.insert-m3', massG: 0.6, price: 0.12, onHand: 30 },
  { id: 'own.shell', name: 'Rain shell, vacuum-formed', source: 'made', massG: 42, price: 4 },
];

interface PlannedPrint {
  letter: MarshHareLetter;
  id: string;
  at: string;
  parts: readonly (readonly [partId: string, count: number])[];
  how?: PrintHow;
  failed?: string;
  large?: true;
}

/** What went on the beds, in the order of the story. */
const PRINTS: readonly PlannedPrint[] = [
  { letter: 'A', id: 'mh-print-1', at: '2026-03-30T18:20:00.000Z', parts: [['carrier', 1]], how: 'draft' },
  {
    letter: 'A',
    id: 'mh-print-2',
    at: '2026-03-31T17:45:00.000Z',
    parts: [['plate', 1]],
    failed: 'A corner of the plate came off the bed after an hour: brim, and a warmer bed.',
    large: true,
  },
  { letter: 'A', id: 'mh-print-3', at: '2026-04-01T17:10:00.000Z', parts: [['plate', 1]], large: true },
  {
    letter: 'A',
    id: 'mh-print-4',
    at: '2026-04-02T18:00:00.000Z',
    parts: [
      ['armFront', 2],
      ['armRear', 2],
    ],
  },
  {
    letter: 'A',
    id: 'mh-print-5',
    at: '2026-04-04T08:30:00.000Z',
    parts: [
      ['carrier', 2],
      ['knuckle', 2],
      ['steeringArm', 2],
      ['frontLink', 2],
    ],
  },
  {
    letter: 'A',
    id: 'mh-print-6',
    at: '2026-04-05T07:50:00.000Z',
    parts: [
      ['tower', 2],
      ['brace', 1],
      ['bumper', 1],
      ['mount', 1],
      ['mainGear', 1],
    ],
  },
  { letter: 'B', id: 'mh-print-7', at: '2026-04-18T18:30:00.000Z', parts: [['mainGear', 2]] },
  { letter: 'C', id: 'mh-print-8', at: '2026-05-09T19:00:00.000Z', parts: [['carrier', 3]] },
  { letter: 'D', id: 'mh-print-9', at: '2026-05-23T16:10:00.000Z', parts: [['steeringArm', 3]] },
  { letter: 'D', id: 'mh-print-10', at: '2026-05-31T16:15:00.000Z', parts: [['bumper', 1]] },
  // drawn here, printed, not driven yet
  { letter: 'D', id: 'mh-print-11', at: '2026-06-02T17:00:00.000Z', parts: [['armFront', 2]] },
  { letter: 'D', id: 'mh-print-12', at: '2026-06-03T17:30:00.000Z', parts: [['plate', 1]], large: true },
];

/** Copies that broke or were put aside. */
const GIVEN_UP: readonly (readonly [copyId: string, at: string, why: string])[] = [
  ['mh-print-6-mainGear-1', '2026-04-12T10:05:00.000Z', 'three teeth stripped'],
  ['mh-print-5-carrier-1', '2026-05-03T16:35:00.000Z', 'split along its layers'],
  ['mh-print-5-carrier-2', '2026-05-09T17:00:00.000Z', 'the other of the split one: same layers'],
  ['mh-print-5-steeringArm-1', '2026-05-17T10:20:00.000Z', 'bent at a kerb stone'],
  ['mh-print-5-steeringArm-2', '2026-05-23T15:00:00.000Z', 'as thin as the bent one'],
  ['mh-print-6-bumper-1', '2026-05-31T10:00:00.000Z', 'cracked in a drop test'],
];

/** The copies that were on the car in a revision: those of A, and what took the place of what broke. */
export function copiesOnCar(letter: MarshHareLetter): string[] {
  const since = (first: MarshHareLetter) => letter >= first;
  const pair = (print: number, partId: string) => [1, 2].map((at) => `mh-print-${print}-${partId}-${at}`);
  return [
    'mh-print-3-plate-1',
    ...pair(4, 'armFront'),
    ...pair(4, 'armRear'),
    ...pair(since('C') ? 8 : 5, 'carrier'),
    ...pair(5, 'knuckle'),
    ...pair(since('D') ? 9 : 5, 'steeringArm'),
    ...pair(5, 'frontLink'),
    ...pair(6, 'tower'),
    'mh-print-6-brace-1',
    'mh-print-6-bumper-1',
    'mh-print-6-mount-1',
    since('B') ? 'mh-print-7-mainGear-1' : 'mh-print-6-mainGear-1',
  ];
}

const [TRUE_FACTOR, TIME_SD, MASS_SD, FAILED_SHARE, PRINT_SEED] = [1.13, 0.04, 0.015, 0.2, 71];

/** The log of prints; what they took is the estimate of their revision with a seeded error and a printer that is slower than it says. */
export function marshHarePrints(
  documents: Readonly<Record<MarshHareLetter, BuildDocument>>,
): { letter: MarshHareLetter; sheet: PrintSheet }[] {
  const error = normalFrom(PRINT_SEED);
  return PRINTS.map(({ letter, id, at, parts, how = 'final', failed, large }) => {
    const document = documents[letter];
    const on = marshHarePrinters[large ? 1 : 0]!;
    const items = parts.flatMap(([partId, count]) => {
      const part = document.parts.items.find((one) => one.id === partId)!;
      const found = estimateOfPart(document, part, how, [], on);
      if (!found.ok)
        throw new Error(`the demo part ${partId} cannot be printed: ${found.missing.join(', ')}`);
      return Array.from({ length: count }, (_, at2) => ({
        timeS: found.value.timeS,
        item: {
          copyId: `${id}-${partId}-${at2 + 1}`,
          partId,
          partName: part.name,
          material: part.material!.name,
          massG: Number(found.value.massG.toPrecision(4)),
        },
      }));
    });
    const estimateS = Math.round(items.reduce((sum, { timeS }) => sum + timeS, 0));
    const took = estimateS * TRUE_FACTOR * (1 + TIME_SD * error()) * (failed ? FAILED_SHARE : 1);
    const massG = items.reduce((sum, { item }) => sum + item.massG, 0) * (1 + MASS_SD * error());
    const sheet: PrintSheet = {
      id,
      state: failed ? 'failed' : 'finished',
      how,
      printer: on.name,
      items: items.map(({ item }) => item),
      estimateS,
      queuedAt: at,
      startedAt: at,
      endedAt: new Date(Date.parse(at) + 1000 * Math.round(took)).toISOString(),
      actualS: 60 * Math.round(took / 60),
      ...(failed ? { why: failed } : { massG: Number(massG.toFixed(1)) }),
    };
    return { letter, sheet };
  });
}

/** Copies that were measured for wear: the pin's bore of a knuckle grows in the grit, the teeth of the wide gear do not show any. */
const MEASURED: Readonly<
  Record<
    string,
    {
      of: WearPlace;
      newMm: number;
      mmPerHour: number;
      at: readonly (readonly [day: string, hours: number])[];
    }
  >
> = {
  'mh-print-5-knuckle-1': {
    of: 'bore',
    newMm: 3.04,
    mmPerHour: 0.027,
    at: [
      ['2026-04-05', 0],
      ['2026-04-12', 1.5],
      ['2026-05-03', 3.1],
      ['2026-05-31', 4.1],
    ],
  },
  'mh-print-7-mainGear-1': {
    of: 'tooth',
    newMm: 1.26,
    mmPerHour: 0.00002,
    at: [
      ['2026-04-19', 0],
      ['2026-05-31', 2.6],
    ],
  },
};

const [CALIPER_SD, CALIPER_STEP, WEAR_SEED] = [0.008, 0.01, 53];

/** Copies that were given up or measured, as they are now; none of the others. */
export function whatBecameOf(copy: CopySheet): CopySheet | undefined {
  const gone = GIVEN_UP.find(([id]) => id === copy.id);
  const measured = MEASURED[copy.id];
  if (!gone && !measured) return undefined;
  const error = normalFrom(WEAR_SEED);
  const readings = measured?.at.map(([day, hours], index) => ({
    id: `${copy.id}-${index + 1}`,
    at: `${day}T18:00:00.000Z`,
    of: measured.of,
    hours,
    valueMm: Number(
      (
        Math.round((measured.newMm + measured.mmPerHour * hours + CALIPER_SD * error()) / CALIPER_STEP) *
        CALIPER_STEP
      ).toFixed(2),
    ),
  }));
  return {
    ...copy,
    ...(readings ? { readings } : {}),
    ...(gone ? { retiredAt: gone[1], retiredWhy: gone[2] } : {}),
  };
}

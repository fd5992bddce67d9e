import { tyreAt, tyresApart } from '../../car/tyres/tyres';
import type { BuildDocument } from '../../car/document/document';
import { controllersListed, motorsListed } from '../../car/document/motors';
import { PART_KIND_RECORDS, type PartKind } from '../../car/parts/partKinds';
import type { Part } from '../../car/parts/parts';
import type { ListEntry, Source } from '../../car/document/print';
import { hardwareCount } from './assembly';
import { estimateOfPart } from './printed';
import type { PrinterTimes } from './printerTimes';
import { entryOf, listedAs, partLine } from './sources';

export interface MakeLine {
  /** Of a part, of a component, of hardware, or of a thing of its own. */
  id: string;
  of: 'part' | 'component' | 'hardware' | 'own';
  partId?: string;
  name: string;
  source: Source;
  quantity: number;
  /** Of one. */
  massG?: number;
  price?: number;
  leadDays?: number;
  onHand: number;
  /** Time of one copy, where it is printed and its mesh is known. */
  printS?: number;
  /** Which figures were set by hand. */
  said: ListEntry;
}

export interface MakeTotals {
  price: number;
  massG: number;
  /** Things without a price, and without a mass. */
  unpriced: number;
  unweighed: number;
  /** Longest lead time of what is not there yet. */
  leadDays: number;
}

/** Kinds of part that the drive or the supply knows as a component already. */
/** Every part and component of a build with where it comes from; `ready` says how many good spare prints of a part lie there. */
export function makeList(
  document: BuildDocument,
  times: PrinterTimes = [],
  ready: (partId: string) => number = () => 0,
): MakeLine[] {
  const known = componentsOf(document);
  const kinds = new Set(known.map(({ kind }) => kind));
  const parts = document.parts.items
    .filter(({ kind }) => !(PART_KIND_RECORDS[kind].listedWhereChosen && kinds.has(kind)))
    .map((part) => lineOfPart(document, part, times, ready(part.id)));
  const components = known.map(({ kind: _, ...component }) =>
    withSaid(document, { of: 'component', source: 'bought', onHand: 0, ...component }),
  );
  const hardware = hardwareCount(document).map(({ key, called, count }) =>
    withSaid(document, {
      id: `hardware.${key}`,
      of: 'hardware',
      name: called,
      source: 'bought',
      quantity: count,
      onHand: 0,
    }),
  );
  const lines = [...parts, ...components, ...hardware];
  const taken = new Set(lines.map(({ id }) => id));
  const own = (document.print.list ?? [])
    .filter(({ id, name }) => name !== undefined && !taken.has(id))
    .map((said): MakeLine => ({
      of: 'own',
      name: said.name!,
      source: 'bought',
      quantity: 1,
      onHand: 0,
      ...withoutName(said),
      said,
    }));
  return [...lines, ...own];
}

export function totalsOf(lines: readonly MakeLine[]): MakeTotals {
  const there = lines.filter(({ quantity }) => quantity > 0);
  return {
    price: there.reduce((sum, { price = 0, quantity }) => sum + price * quantity, 0),
    massG: there.reduce((sum, { massG = 0, quantity }) => sum + massG * quantity, 0),
    unpriced: there.filter(({ price, source }) => price === undefined && source !== 'salvaged').length,
    unweighed: there.filter(({ massG }) => massG === undefined).length,
    leadDays: Math.max(
      0,
      ...there.filter(({ onHand, quantity }) => onHand < quantity).map(({ leadDays = 0 }) => leadDays),
    ),
  };
}

const withoutName = ({ name: _, ...said }: ListEntry) => said;

function withSaid(document: BuildDocument, line: Omit<MakeLine, 'said'>): MakeLine {
  const said = entryOf(document, line.id) ?? { id: line.id };
  return { ...line, ...withoutName(said), said };
}

function lineOfPart(document: BuildDocument, part: Part, times: PrinterTimes, ready: number): MakeLine {
  const { source } = listedAs(document, part);
  const estimate = source === 'printed' ? estimateOfPart(document, part, 'final', times) : undefined;
  // what it weighs and costs does not wait for a printer that holds it
  const other =
    estimate?.ok === false && document.print.printers?.[0]
      ? estimateOfPart(document, part, 'final', times, document.print.printers[0])
      : undefined;
  const found = estimate?.ok ? estimate.value : other?.ok ? other.value : undefined;
  const massG = part.massG ?? found?.massG;
  return withSaid(document, {
    id: partLine(part.id),
    of: 'part',
    partId: part.id,
    name: part.name,
    source,
    quantity: 1,
    onHand: ready,
    ...(massG === undefined ? {} : { massG }),
    ...(found?.cost === undefined ? {} : { price: found.cost }),
    ...(estimate?.ok ? { printS: estimate.value.timeS } : {}),
  });
}

type Component = Pick<MakeLine, 'id' | 'name' | 'quantity' | 'massG'> & { kind: PartKind };

/** What drive and supply are made of. */
function componentsOf({ drive, power }: BuildDocument): Component[] {
  const weighed = (massG: number | undefined) => (massG === undefined ? {} : { massG });
  const loads = (power.loads ?? [])
    .filter(({ kind }) => kind !== 'controller')
    .map(({ id, name, kind, massG }): Component => ({
      id: `load.${id}`,
      kind: kind === 'servo' ? 'servo' : kind === 'receiver' ? 'receiver' : 'other',
      name,
      quantity: 1,
      ...weighed(massG),
    }));
  return [
    ...motorsListed(drive).map(({ place, motor: { name, massG }, count }, at): Component => ({
      id: at === 0 ? 'motor' : `motor.${place}`,
      kind: 'motor',
      name,
      quantity: count,
      massG,
    })),
    ...(drive.tyre
      ? tyresApart(drive).map((axles): Component => {
          const tyre = tyreAt(drive, axles[0]!)!;
          const isFrontOnly = axles.length === 1 && axles[0] === 'front';
          return {
            id: isFrontOnly ? 'tyre.front' : 'tyre',
            kind: 'tyre',
            name: `Wheel with ${tyre.name}`,
            quantity: 2 * axles.length,
            massG: tyre.massG,
          };
        })
      : []),
    ...(power.battery
      ? [
          {
            id: 'battery',
            kind: 'battery' as const,
            name: power.battery.name,
            quantity: power.packs ?? 1,
            massG: power.battery.massG,
          },
        ]
      : []),
    ...controllersListed({ drive, power }).map(({ place, name, massG, count }, at): Component => ({
      id: at === 0 ? 'controller' : `controller.${place}`,
      kind: 'controller',
      name,
      quantity: count,
      massG,
    })),
    ...(power.rails ?? [])
      .filter(({ kind }) => kind !== 'direct')
      .map(({ id, name }): Component => ({ id: `rail.${id}`, kind: 'regulator', name, quantity: 1 })),
    ...loads,
    ...(power.radio?.transmitter
      ? [
          {
            id: 'transmitter',
            kind: 'other' as const,
            name: power.radio.transmitter.name,
            quantity: 1,
            massG: 0,
          },
        ]
      : []),
  ];
}

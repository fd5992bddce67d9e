import type { ChosenTyre } from '../tyres/tyres';
import type { PowerLoad } from '../document/power';
import type { ChosenMaterial } from '../material/material';
import type { LibraryItem, LibraryKind } from './kinds';
import type { GearAtHand } from './kinds/gear';
import { withOwnFigures } from '../material/strips';

export function itemsOf<K extends LibraryKind>(items: readonly LibraryItem[], kind: K): LibraryItem<K>[] {
  return items.filter((item): item is LibraryItem<K> => item.kind === kind);
}

/** A tyre's figures with those of its compound, as a build copies them. */
export function tyreForBuild(tyre: LibraryItem<'tyre'>, items: readonly LibraryItem[]): ChosenTyre {
  const compound = itemsOf(items, 'compound').find(({ id }) => id === tyre.data.compound);
  return {
    libraryId: tyre.id,
    ...tyre.data,
    compound: compound?.data.name ?? tyre.data.compound,
    hardFactor: compound?.data.hardFactor ?? 1,
    looseFactor: compound?.data.looseFactor ?? 1,
  };
}

/** A material's figures as a build copies them, with the strengths of the workshop's own strips. */
export function materialForBuild({
  id,
  data: { ranges: _, source: __, strips = [], ...figures },
}: LibraryItem<'material'>): ChosenMaterial {
  return { libraryId: id, ...withOwnFigures(figures, strips) };
}

/** The gears that lie in the workshop. */
export const gearsAtHand = (items: readonly LibraryItem[]): GearAtHand[] =>
  itemsOf(items, 'gear').map(({ data }) => data);

/** A servo or a receiver as a build hangs it on a rail. */
export function loadForBuild(
  item: LibraryItem<'servo'> | LibraryItem<'receiver'>,
): Omit<PowerLoad, 'id' | 'rail'> {
  if (item.kind === 'receiver')
    return { libraryId: item.id, ...item.data, kind: 'receiver' } as Omit<PowerLoad, 'id' | 'rail'>;
  const { name, minV, maxV, typicalA, peakA, ...servo } = (item as LibraryItem<'servo'>).data;
  return { libraryId: item.id, name, kind: 'servo', minV, maxV, typicalA, peakA, servo };
}

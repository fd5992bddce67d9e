'use client';

import type { Patch } from '@/core/base/patch';
import { formatText } from '@/core/base/units/formatQuantity';
import { itemsOf } from '@/core/car/library/items';
import type { LibraryItem } from '@/core/car/library/kinds';
import { solidIsCurrent } from '@/core/worked/parts/solidOfPart';
import { solvedMounts } from '@/core/worked/transmissions/mountOfPart';
import { useReader } from '@/ui/reader';
import { AddFrom } from '../../fields/AddFrom';
import { libraryOptions } from '../../fields/libraryOptions';
import { useBuild } from '../../session/BuildContext';

/** Figures of a thing of the library, put where they belong in the stage. */
export function FromLibrary<K extends 'belt' | 'bearing'>({
  kind,
  label,
  take,
}: {
  kind: K;
  label: string;
  take(data: LibraryItem<K>['data']): Patch;
}) {
  const { library, edit, closed } = useBuild();
  const { reader } = useReader();
  const items = itemsOf(library, kind);
  if (closed) return null;
  return (
    <AddFrom
      label={label}
      path={`library.${kind}`}
      options={libraryOptions(items, reader)}
      onAdd={(wanted) => {
        const item = items.find(({ id }) => id === wanted);
        if (item) edit(take(item.data));
      }}
    />
  );
}

/** The stiffness of a part that was solved as a solid, held at one shaft and pulled at the other. */
export function FromSolved({ path }: { path: string[] }) {
  const { document, surface, edit, closed } = useBuild();
  const { reader } = useReader();
  const mounts = solvedMounts(document.parts.items.filter((part) => solidIsCurrent(document, surface, part)));
  if (closed || mounts.length === 0) return null;
  return (
    <AddFrom
      label="Take that of a solved part"
      path="parts.items"
      options={mounts.map(({ part, stiffnessNPerMm }) => ({
        id: part.id,
        name: part.name,
        tells: formatText(stiffnessNPerMm, 'rateNPerMm', reader, 3),
      }))}
      onAdd={(wanted) => {
        const mount = mounts.find(({ part }) => part.id === wanted);
        if (mount) edit([{ path, value: Number(mount.stiffnessNPerMm.toPrecision(4)) }]);
      }}
    />
  );
}

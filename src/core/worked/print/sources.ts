import type { BuildDocument } from '../../car/document/document';
import { PART_KIND_RECORDS } from '../../car/parts/partKinds';
import type { Part } from '../../car/parts/parts';
import type { ListEntry, Source } from '../../car/document/print';
import { hasLayers } from '../parts/materialOfBuild';

export const partLine = (id: string): string => `part.${id}`;

export const entryOf = ({ print }: Pick<BuildDocument, 'print'>, id: string): ListEntry | undefined =>
  print.list?.find((entry) => entry.id === id);

/** Where a part comes from: as the list says, else from a printer if it has a mesh or a printed material. */
export function listedAs(document: BuildDocument, part: Part): { source: Source } {
  const said = entryOf(document, partLine(part.id))?.source;
  if (said) return { source: said };
  if (part.mesh) return { source: 'printed' };
  if (part.material) return { source: hasLayers(part.material) ? 'printed' : 'made' };
  return { source: PART_KIND_RECORDS[part.kind].bought ? 'bought' : 'printed' };
}

/** How many of a part are on the car; one where the list says nothing. */
export const quantityOf = (document: BuildDocument, part: Part): number =>
  entryOf(document, partLine(part.id))?.quantity ?? 1;

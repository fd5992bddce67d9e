import type { Motion } from '../../base/vec3';
import type { BuildDocument } from '../../car/document/document';
import type { LibraryItem } from '../../car/library/kinds';
import type { PartMesh } from '../../car/parts/parts';
import { placedDrawings } from './placedDrawings';

/** A part that was drawn and made here, where it stands in the car at rest. */
export interface DrawnThing {
  id: string;
  mesh: PartMesh;
  /** The body that it moves with. */
  body: string;
  /** From the mesh to the car; that of the right side mirrors it. */
  motion: Motion;
  /** The thing that it is drawn in place of. */
  inPlaceOf: string;
}

/** Every part that was made here and whose place in the car is known. */
export const drawnThings = (document: BuildDocument, library: readonly LibraryItem[]): DrawnThing[] =>
  placedDrawings(document, library).flatMap(({ part: { id, mesh }, side, body, motion, inPlaceOf }) =>
    mesh?.madeOf === undefined ? [] : [{ id: side ? `${id} ${side}` : id, mesh, body, motion, inPlaceOf }],
  );

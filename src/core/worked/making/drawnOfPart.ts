import type { Assembled } from '../../base/assembled';
import type { BuildDocument } from '../../car/document/document';
import type { LibraryItem } from '../../car/library/kinds';
import { MADE_RECORDS, type MadeDim, type MadeKind } from '../../car/parts/partMade';
import { needRoom } from '../../physics/making/recipes/onEdge';
import type { Drawing, DrawnPart } from '../../physics/making/drawn/drawing';
import { armOfBuild } from './armOfBuild';
import { bulkheadOfBuild, motorMountOfBuild, servoMountOfBuild, towerOfBuild } from './mountsOfBuild';
import { plateOfBuild, sectionsOfPlate } from './plateOfBuild';
import { bumperOfBuild, guideOfBuild, leverOfBuild, trayOfBuild, wheelOfBuild } from './smallParts';
import { uprightOfBuild } from './uprightOfBuild';
import { Drawer, type MadePart } from './drawer';

/** Dimensions that are plastic from one side to the other. */
const THIN = ['wallMm', 'thicknessMm'] as const;

const DRAW: Readonly<Record<MadeKind, (drawer: Drawer) => Assembled<DrawnPart>>> = {
  plate: plateOfBuild,
  motorMount: motorMountOfBuild,
  bulkhead: bulkheadOfBuild,
  arm: armOfBuild,
  upright: uprightOfBuild,
  lever: leverOfBuild,
  tower: towerOfBuild,
  servoMount: servoMountOfBuild,
  wheel: wheelOfBuild,
  bumper: bumperOfBuild,
  tray: trayOfBuild,
  guide: guideOfBuild,
};

/**
 * A part as it is drawn from the document and its few dimensions, or what is missing.
 *
 * @throws CalcError at the dimension that leaves no plastic, as the part's `made` names it
 */
export function drawnOfPart(
  document: BuildDocument,
  library: readonly LibraryItem[],
  part: MadePart,
): Assembled<DrawnPart> {
  const drawer = new Drawer(document, library, part);
  const missing = drawer.missing();
  if (missing.length > 0) return { ok: false, missing };
  const { dims } = MADE_RECORDS[part.made.as] as { dims: readonly MadeDim[] };
  for (const key of THIN) if (dims.includes(key)) needRoom(drawer.of(key), key);
  return DRAW[part.made.as](drawer);
}

/** What goes on the bed for a part: itself, or the sections of a plate. */
export function sectionsOfPart(
  document: BuildDocument,
  library: readonly LibraryItem[],
  part: MadePart,
): Assembled<Drawing[]> {
  const drawn = drawnOfPart(document, library, part);
  if (!drawn.ok) return drawn;
  const drawer = new Drawer(document, library, part);
  if (part.made.as !== 'plate' || drawer.of('sections') < 2)
    return { ok: true, value: [drawn.value.drawing] };
  return sectionsOfPlate(drawer);
}

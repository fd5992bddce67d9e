import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { applyPatch, type Patch } from '@/core/base/patch';
import type { BuildDocument } from '@/core/car/document/document';
import type { PartMade } from '@/core/car/parts/partMade';
import type { PartMesh } from '@/core/car/parts/parts';
import { readMeshFile } from '@/core/physics/meshFiles/readFile';
import { measureLying, liesMark } from '@/core/worked/print/lies';
import type { MadePart } from '@/core/worked/making/drawer';
import { drawnOfPart } from '@/core/worked/making/drawnOfPart';
import { heldDrawn } from '@/core/worked/making/heldDrawn';
import { marshHareCoupon } from '../marshHareCoupon';

/** What the builder drew here for D. */
export const DRAWN_PARTS = {
  armFront: { as: 'arm', end: 'front', open: true, thicknessMm: 8, widthMm: 8, wallMm: 2.2 },
  plate: { as: 'plate', thicknessMm: 4, marginMm: 3, flangeMm: 16, pocketMm: 12, wallMm: 3 },
} as const satisfies Record<string, PartMade>;
type DrawnId = keyof typeof DRAWN_PARTS;
const IDS = Object.keys(DRAWN_PARTS) as DrawnId[];

const CELL_MM = { armFront: 1.2, plate: 2 } as const;

/** Where the solid of a part lies, as the geometry kernel made it. */
export const solidFile = (id: DrawnId): string => join(process.cwd(), 'src/db/seed/made', `${id}.stl`);

export const drawnContents = (): Buffer[] => IDS.map((id) => readFileSync(solidFile(id)));

/** A part of a document with what it is drawn from. */
export function drawnPart(document: BuildDocument, id: DrawnId): MadePart {
  const part = document.parts.items.find((one) => one.id === id);
  if (!part) throw new Error(`the demo car has no ${id}`);
  return { ...part, made: DRAWN_PARTS[id] };
}

/** The drawing of a part by the builder's own test piece. */
export function drawingOf(document: BuildDocument, id: DrawnId) {
  const found = drawnOfPart(document, [marshHareCoupon()], drawnPart(document, id));
  if (!found.ok) throw new Error(`the demo's ${id} cannot be drawn: ${found.missing.join(', ')}`);
  return found.value;
}

/** The drawn parts with their meshes, held and pulled where the car does it. */
export function withDrawnParts(document: BuildDocument): BuildDocument {
  return applyPatch(
    document,
    IDS.flatMap((id): Patch => {
      const content = readFileSync(solidFile(id));
      const drawn = drawingOf(document, id);
      const { held, pulls, mark } = heldDrawn(
        document,
        document.brief.surfaces[0],
        drawnPart(document, id),
        drawn,
      );
      const mesh: PartMesh = {
        hash: createHash('sha256').update(content).digest('hex'),
        name: `${id}.stl`,
        unitMm: 1,
        up: [0, 0, 1],
        madeOf: mark,
        held,
        pulls,
        voxelMm: CELL_MM[id],
      };
      const lies = measureLying(readMeshFile(content, mesh.name), mesh.up);
      const at = ['parts', 'items', id];
      return [
        { path: [...at, 'made'], value: DRAWN_PARTS[id] },
        { path: [...at, 'mesh'], value: { ...mesh, lies: { of: liesMark(mesh), ...lies } } },
      ];
    }),
  );
}

import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import init from 'replicad-opencascadejs';
import * as replicad from 'replicad';
import { drawnBody, meshInOnePiece } from '@/core/physics/making/drawn/drawnBody';
import { writeStl } from '@/core/physics/meshFiles/writeStl';
import { DRAWN_PARTS, drawingOf, solidFile } from '@/db/seed/made/marshHareMade';
import { marshHareDocuments } from '@/db/seed/marshHareRevisions';

// the demo's drawn parts are kept as files, so that filling it needs no geometry kernel
const start = init as unknown as (options: { print(): void }) => ReturnType<typeof init>;
replicad.setOC(await start({ print: () => undefined }));
const { D } = marshHareDocuments({ bare: true });
for (const id of Object.keys(DRAWN_PARTS) as (keyof typeof DRAWN_PARTS)[]) {
  const file = solidFile(id);
  mkdirSync(dirname(file), { recursive: true });
  writeFileSync(file, writeStl(meshInOnePiece(drawnBody(replicad, drawingOf(D, id).drawing))));
  console.log(file);
}

import { createReadStream, createWriteStream } from 'node:fs';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { buildTextName, WORKSHOP_NAME } from '@/core/verdict/workshopFile';
import type { Database } from '@/db/client';
import { heldContent } from '@/db/queries/exportBuild';
import { type ExportedWorkshop, exportWorkshop } from '@/db/queries/exportWorkshop';
import { writeArchive } from './archive';
import { archivedText } from './exportedBody';

/**
 * A whole workshop as one archive. Its texts lie on the disk until they are sent, so that a slow line holds
 * no transaction open and no more than one build stands in memory.
 */
export async function workshopArchive(
  db: Database,
  workshopId: string,
): Promise<{ exported: ExportedWorkshop; body: Readable }> {
  const folder = await mkdtemp(join(tmpdir(), 'lean-badger-'));
  const remove = () => rm(folder, { recursive: true, force: true });
  const pathOf = (at: number) => join(folder, String(at));
  try {
    const exported = await exportWorkshop(db, workshopId, (build, at) =>
      pipeline(Readable.from(archivedText(build)), createWriteStream(pathOf(at), { mode: 0o600 })),
    );
    await writeFile(join(folder, 'workshop'), exported.text, { mode: 0o600 });
    const texts = [
      { name: WORKSHOP_NAME, text: () => createReadStream(join(folder, 'workshop')) },
      ...Array.from({ length: exported.builds }, (_, at) => ({
        name: buildTextName(at),
        text: () => createReadStream(pathOf(at)),
      })),
    ];
    const body = writeArchive(texts, exported.files, (file) => heldContent(db, workshopId, file));
    body.once('close', () => void remove());
    return { exported, body };
  } catch (error) {
    await remove();
    throw error;
  }
}

import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { type BuildFile, FILE_FORMAT, FILE_VERSION, type KeptFile } from '@/core/car/file/buildFile';
import { namesIn, renamedIn } from '@/core/car/file/references';
import { withFilesOf } from '@/core/car/sharing/sharedBuild';
import type { Database } from '@/db/client';
import { importBuild } from '@/db/queries/importBuild';
import { listLibrary } from '@/db/queries/library';
import { meshContent } from '@/db/queries/meshes';
import type { OpenShare } from '@/db/queries/shares';
import { shownBuild } from './shownBuild';
import { shownFile } from './shownFiles';

/**
 * Copies what a link shows into a workshop, and no more than it shows.
 *
 * @returns the id of the copy
 */
export async function copyShared(db: Database, share: OpenShare, workshopId: string): Promise<string> {
  const { whole: shown, library } = await shownBuild(db, share);
  const names = new Map<string, string>();
  const files: KeptFile[] = [...namesIn(shown, 'mesh')].map((hash) => ({ hash, type: 'mesh' }));
  for (const held of namesIn(shown, 'file')) {
    const file = await shownFile(db, share, held).catch(() => undefined);
    if (!file) continue;
    names.set(held, file.hash);
    files.push({ hash: file.hash, type: file.type });
  }
  const heldAs = new Map([...names].map(([held, hash]) => [hash, held]));
  const whole = withFilesOf(shown, (hash) => names.has(hash));
  const renamedItems = await renamedAmong(db, workshopId, library);
  const records = {
    revisions: whole.revisions.map(({ buildId: _, version: __, ...revision }) => revision),
    runs: whole.runs,
    failures: whole.failures.map(({ version: _, ...failure }) => failure),
    prints: whole.prints.map(({ version: _, ...print }) => print),
    copies: whole.copies.map(({ version: _, ...copy }) => copy),
    library: library.map((item) => ({ ...item, id: renamedItems.get(item.id) ?? item.id })),
  };
  const file: BuildFile = {
    format: FILE_FORMAT,
    formatVersion: FILE_VERSION,
    build: whole.build,
    ...renamedIn(
      records,
      (name, of) =>
        (of === 'file' ? names.get(name) : of === 'library' ? renamedItems.get(name) : undefined) ?? name,
    ),
    files,
  };
  return importBuild(
    db,
    workshopId,
    file,
    'copy',
    async ({ hash, type }) =>
      type === 'mesh'
        ? meshContent(db, share.workshopId, hash)
        : (await shownFile(db, share, heldAs.get(hash)!)).content,
    { name: whole.build.name, workshop: share.workshop, at: new Date().toISOString() },
  );
}

/** New ids for things whose ids mean something else in the workshop that they come into: nothing there is written over. */
async function renamedAmong(
  db: Database,
  workshopId: string,
  library: readonly { id: string }[],
): Promise<Map<string, string>> {
  const own = new Map((await listLibrary(db, workshopId)).map((item) => [item.id, item]));
  return new Map(
    library.flatMap((item) => {
      const same = own.get(item.id);
      return same && !isDeepStrictEqual(same, item) ? [[item.id, randomUUID()] as const] : [];
    }),
  );
}

import { eq } from 'drizzle-orm';
import { type NamedFile, FILE_ORDER } from '@/core/car/file/buildFile';
import { recordLine } from '@/core/car/file/writeBuildFile';
import { WORKSHOP_FORMAT, WORKSHOP_VERSION, type WorkshopFile } from '@/core/verdict/workshopFile';
import type { Database } from '../client';
import { workshops } from '../schema';
import { workshopStamp } from '../stamps';
import { listBuilds } from './builds';
import { type ExportedBuild, exportedIn } from './exportBuild';
import { listLibrary } from './library';

export interface ExportedWorkshop {
  name: string;
  /** The first text of the archive. */
  text: string;
  builds: number;
  /** What its builds name, each once. */
  files: NamedFile[];
  /** Another as soon as anything in the workshop was written. */
  stamp: string;
}

/**
 * A whole workshop as it stands at one moment.
 *
 * @param take gets its builds one after the other, so that no more than one stands in memory
 */
export const exportWorkshop = (
  db: Database,
  workshopId: string,
  take: (build: ExportedBuild, at: number) => Promise<void>,
): Promise<ExportedWorkshop> =>
  db.transaction(
    async (transaction) => {
      const tx = transaction as unknown as Database;
      const [workshop] = await tx
        .select({ name: workshops.name, settings: workshops.settings })
        .from(workshops)
        .where(eq(workshops.id, workshopId));
      const builds = (await listBuilds(tx, workshopId)).sort(FILE_ORDER.builds);
      const files = new Map<string, NamedFile>();
      for (const [at, { id }] of builds.entries()) {
        const build = await exportedIn(tx, workshopId, id);
        for (const { hash, type } of build.files) files.set(`${type} ${hash}`, { hash, type });
        await take(build, at);
      }
      const file: WorkshopFile = {
        format: WORKSHOP_FORMAT,
        formatVersion: WORKSHOP_VERSION,
        name: workshop!.name,
        settings: workshop!.settings,
        library: (await listLibrary(tx, workshopId)).sort(FILE_ORDER.library),
        builds: builds.length,
      };
      return {
        name: file.name,
        text: `${JSON.stringify(JSON.parse(recordLine(file)), null, 2)}\n`,
        builds: builds.length,
        files: [...files.values()].sort(FILE_ORDER.files),
        stamp: await workshopStamp(tx, workshopId),
      };
    },
    { isolationLevel: 'repeatable read', accessMode: 'read only' },
  );

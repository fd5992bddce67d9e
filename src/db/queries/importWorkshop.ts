import { randomUUID } from 'node:crypto';
import { sql } from 'drizzle-orm';
import type { BuildFile } from '@/core/car/file/buildFile';
import type { WorkshopFile } from '@/core/verdict/workshopFile';
import type { Database } from '../client';
import { libraryItems, workshops } from '../schema';
import { type ContentOf, importBuild } from './importBuild';
import { joinWorkshop } from './members';

const ROWS_AT_ONCE = 500;

/** A workshop that was exported, as a new one of somebody: whole, or not at all. */
export async function importWorkshop(
  db: Database,
  personId: string,
  { name, settings, library }: WorkshopFile,
  builds: AsyncIterable<BuildFile>,
  contentOf: ContentOf,
): Promise<string> {
  const workshopId = randomUUID();
  await db.transaction(async (transaction) => {
    const tx = transaction as unknown as Database;
    // a build is checked between two statements, and a large one takes its time
    await tx.execute(sql`set local idle_in_transaction_session_timeout = '10min'`);
    await tx.insert(workshops).values({ id: workshopId, name, settings });
    for await (const build of builds) await importBuild(tx, workshopId, build, 'refuse', contentOf);
    for (let from = 0; from < library.length; from += ROWS_AT_ONCE)
      await tx
        .insert(libraryItems)
        .values(library.slice(from, from + ROWS_AT_ONCE).map((item) => ({ workshopId, ...item })))
        .onConflictDoUpdate({
          target: [libraryItems.workshopId, libraryItems.id],
          set: { data: sql`excluded.data`, kind: sql`excluded.kind` },
        });
    await joinWorkshop(tx, workshopId, personId, 'owner');
  });
  return workshopId;
}

import type { Database } from '../client';
import { listBuilds } from '../queries/builds';
import { listLibrary } from '../queries/library';
import { stockLibrary } from '../queries/workshops';
import { seedDemo } from './demo';

/** Fills in the library and the demo unless there is something in the workshop already: whole, or not at all. */
export async function fillDemo(db: Database, workshopId: string): Promise<void> {
  if ((await listLibrary(db, workshopId)).length > 0 || (await listBuilds(db, workshopId)).length > 0) return;
  await db.transaction(async (tx) => {
    const within = tx as unknown as Database;
    await stockLibrary(within, workshopId);
    await seedDemo(within, workshopId);
  });
}

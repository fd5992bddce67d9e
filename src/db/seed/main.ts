import { closeDatabase, database } from '../client';
import { listBuilds } from '../queries/builds';
import { listLibrary } from '../queries/library';
import { defaultWorkshop, stockLibrary } from '../queries/workshops';
import { seedDemo } from './demo';

/** Fills in the demo unless there is something in the workshop already. */
async function main(): Promise<void> {
  const db = database();
  const workshopId = await defaultWorkshop(db);
  if ((await listLibrary(db, workshopId)).length > 0 || (await listBuilds(db, workshopId)).length > 0) return;
  await stockLibrary(db, workshopId);
  await seedDemo(db, workshopId);
}

main()
  .catch((error: Error & { cause?: Error }) => {
    console.error(`The demo workshop could not be filled in: ${error.cause?.message ?? error.message}.`);
    process.exitCode = 1;
  })
  .finally(() => void closeDatabase());

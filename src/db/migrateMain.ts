import { closeDatabase, database } from './client';
import { migrateDatabase } from './migrate';
import { purgeDeleted } from './queries/deleted';

/** Brings the database up to date and removes for good what was deleted long ago. */
async function main(): Promise<void> {
  await migrateDatabase(process.env.DATABASE_URL ?? '');
  await purgeDeleted(database());
}

main()
  .catch((error: Error & { code?: string }) => {
    console.error(
      `The database could not be brought up to date: ${error.message || error.code}. Check DATABASE_URL, or start anew with npm run demo -- --fresh.`,
    );
    process.exitCode = 1;
  })
  .finally(() => void closeDatabase());

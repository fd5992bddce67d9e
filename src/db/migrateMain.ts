import { migrateDatabase } from './migrate';

migrateDatabase(process.env.DATABASE_URL ?? '').catch((error: Error & { code?: string }) => {
  console.error(`The database could not be brought up to date: ${error.message || error.code}. Check DATABASE_URL, or start anew with npm run demo -- --fresh.`);
  process.exitCode = 1;
});

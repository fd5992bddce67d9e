import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { Client } from 'pg';

/** Number of the advisory lock under which one process at a time migrates. */
const MIGRATION_LOCK = 3117;

/** Runs the SQL files forward that this database has not seen. */
export async function migrateDatabase(connectionString: string): Promise<void> {
  const client = new Client({ connectionString });
  await client.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [MIGRATION_LOCK]);
    await migrate(drizzle({ client }), { migrationsFolder: 'src/db/migrations' });
  } finally {
    await client.end();
  }
}

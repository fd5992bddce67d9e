import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import type { Pool } from 'pg';
import { LastingPool } from './lastingPool';
import * as schema from './schema';

export type Database = NodePgDatabase<typeof schema>;

/** How long a request waits for the database before it is told to come back, ms. */
const PATIENCE = {
  connectionTimeoutMillis: 5000,
  statement_timeout: 15_000,
  lock_timeout: 5000,
  query_timeout: 20_000,
  idle_in_transaction_session_timeout: 30_000,
};

const held = globalThis as { leanBadgerPool?: Pool; leanBadgerDatabase?: Database };

/** The one pool of this process, on the database that DATABASE_URL names. */
export function database(): Database {
  if (held.leanBadgerDatabase) return held.leanBadgerDatabase;
  const connectionString = process.env.DATABASE_URL;
  if (!connectionString)
    throw new Error('DATABASE_URL is not set: npm run demo and npm run dev set it themselves');
  held.leanBadgerPool = new LastingPool({ connectionString, max: 10, ...PATIENCE });
  held.leanBadgerPool.on('error', () => undefined);
  // one that is at work when the database goes away tells its query; nobody else has to hear of it, or the process would end
  held.leanBadgerPool.on('connect', (client) => client.on('error', () => undefined));
  held.leanBadgerDatabase = drizzle({ client: held.leanBadgerPool, schema });
  return held.leanBadgerDatabase;
}

/** Whether the database answers within so long, ms; never waits longer. */
export async function databaseAnswers(withinMs: number): Promise<boolean> {
  let late: NodeJS.Timeout | undefined;
  const answer = database()
    .execute('select 1')
    .then(
      () => true,
      () => false,
    );
  const tooLate = new Promise<false>((resolve) => (late = setTimeout(() => resolve(false), withinMs)));
  return Promise.race([answer, tooLate]).finally(() => clearTimeout(late));
}

export async function closeDatabase(): Promise<void> {
  await held.leanBadgerPool?.end();
  delete held.leanBadgerPool;
  delete held.leanBadgerDatabase;
}

import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { Pool } from 'pg';
import * as schema from './schema';

export type Database = NodePgDatabase<typeof schema>;

const held = globalThis as { leanBadgerPool?: Pool; leanBadgerDatabase?: Database };

/** The one pool of this process, on the database that DATABASE_URL names. */
export function database(): Database {
  if (held.leanBadgerDatabase) return held.leanBadgerDatabase;
  const connectionString = process.env.DATABASE_URL;
  if (!connectionString) throw new Error('DATABASE_URL is not set: npm run demo and npm run dev set it themselves');
  held.leanBadgerPool = new Pool({ connectionString, max: 10 });
  held.leanBadgerPool.on('error', () => undefined);
  held.leanBadgerDatabase = drizzle({ client: held.leanBadgerPool, schema });
  return held.leanBadgerDatabase;
}

export async function closeDatabase(): Promise<void> {
  await held.leanBadgerPool?.end();
  delete held.leanBadgerPool;
  delete held.leanBadgerDatabase;
}

import { setTimeout as wait } from 'node:timers/promises';
import { sql } from 'drizzle-orm';
import { Client } from 'pg';
import type { LiveEvent } from '@/core/car/records/live';
import type { Database } from './client';

const CHANNEL = 'lean_badger';
const AGAIN_AFTER_MS = 1000;

/** Tells all servers on a database. */
export const tell = async (db: Database, event: LiveEvent): Promise<void> =>
  void (await db.execute(sql`select pg_notify(${CHANNEL}, ${JSON.stringify(event)})`));

/**
 * Hears what any server on the database tells, on a connection of its own, which is opened again when it is lost.
 *
 * @param listening is called when it listens, and again after it was lost for a while: something may have been missed
 */
export async function hear(
  heard: (event: LiveEvent) => void,
  listening: () => void,
  stopped: AbortSignal,
): Promise<void> {
  while (!stopped.aborted) {
    const client = new Client({ connectionString: process.env.DATABASE_URL, keepAlive: true });
    const ended = new Promise<void>((resolve) => {
      client.once('end', resolve);
      client.once('error', () => resolve());
      stopped.addEventListener('abort', () => resolve(), { once: true });
    });
    client.on('notification', ({ payload }) => heard(JSON.parse(payload ?? '{}') as LiveEvent));
    try {
      await client.connect();
      await client.query(`listen ${CHANNEL}`);
      listening();
      await ended;
    } catch {
      // it is tried again
    }
    await client.end().catch(() => undefined);
    if (!stopped.aborted) await wait(AGAIN_AFTER_MS, undefined, { ref: false });
  }
}

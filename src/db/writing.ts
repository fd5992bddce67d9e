import { setTimeout as wait } from 'node:timers/promises';
import type { Database } from './client';

/** Two writers that wait for each other, or that saw different states: one of them begins again. */
const BEGIN_AGAIN: readonly unknown[] = ['40P01', '40001'];
const MOST_TRIES = 4;

/** One transaction over everything that belongs together, begun again where it stood in the way of another. */
export async function writing<T>(db: Database, work: (tx: Database) => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries++) {
    try {
      return await db.transaction((tx) => work(tx as unknown as Database));
    } catch (error) {
      const { cause, code } = error as { cause?: { code?: string }; code?: string };
      if (tries >= MOST_TRIES || !BEGIN_AGAIN.includes(cause?.code ?? code)) throw error;
      await wait(tries * 20 * Math.random());
    }
  }
}

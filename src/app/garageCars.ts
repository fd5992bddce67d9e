import { LRUCache } from 'lru-cache';
import { ailing, type GarageCar } from '@/core/advice/garage';
import type { Thresholds } from '@/core/verdict/engine/check';
import type { Database } from '@/db/client';
import { DoorError } from '@/db/errors';
import { wholeBuild } from '@/db/queries/builds';
import { settingsOf } from '@/db/queries/workshops';
import { buildStamps } from '@/db/stamps';
import { inThread } from './api/threads';

const MOST_KEPT = 500;
const GARAGE_MS = 30_000;
const kept = new LRUCache<string, GarageCar>({ max: MOST_KEPT });

/** The builds of a workshop as the garage shows them; each is worked out beside the server, and once while nobody writes to it. */
export async function garageCars(db: Database, workshopId: string): Promise<GarageCar[]> {
  const [stamps, { thresholds = {} }] = await Promise.all([
    buildStamps(db, workshopId),
    settingsOf(db, workshopId),
  ]);
  const cars = await Promise.all(
    stamps.map(({ id, stamp }) =>
      garageCar(db, workshopId, id, thresholds, `${stamp} ${JSON.stringify(thresholds)}`),
    ),
  );
  return cars.filter((car) => car !== undefined);
}

/** One that is deleted while it is read is left out. */
async function garageCar(
  db: Database,
  workshopId: string,
  id: string,
  thresholds: Thresholds,
  key: string,
): Promise<GarageCar | undefined> {
  const known = kept.get(key);
  if (known) return known;
  const whole = await wholeBuild(db, workshopId, id).catch((error: unknown) => {
    if (error instanceof DoorError && error.code === 'notFound') return undefined;
    throw error;
  });
  if (!whole) return undefined;
  try {
    const car = await inThread('garageCar', { whole, thresholds }, GARAGE_MS);
    kept.set(key, car);
    return car;
  } catch (error) {
    return ailing(whole, error);
  }
}

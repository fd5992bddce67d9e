import { LRUCache } from 'lru-cache';
import type { Database } from '@/db/client';
import { listBuilds, wholeBuild } from '@/db/queries/builds';
import { listLibrary } from '@/db/queries/library';
import { finishedPrints } from '@/db/queries/prints';
import { settingsOf } from '@/db/queries/workshops';
import { buildPageStamp } from '@/db/stamps';
import { packBuild } from '@/features/session/packedBuild';

interface PackedBuild {
  packed: string;
  revisions: readonly { id: string; letter: string }[];
}

const MOST_LETTERS = 64_000_000;
const kept = new LRUCache<string, PackedBuild>({
  maxSize: MOST_LETTERS,
  sizeCalculation: ({ packed }) => packed.length,
});

/** What the pages of a build begin with: read and packed once for everybody, until any of it is written. */
export async function packedBuild(db: Database, workshopId: string, id: string): Promise<PackedBuild> {
  const stamp = await buildPageStamp(db, workshopId, id);
  const known = kept.get(stamp);
  if (known) return known;
  const found = await readBuild(db, workshopId, id);
  kept.set(stamp, found);
  return found;
}

/** The same from the database. */
export async function readBuild(db: Database, workshopId: string, id: string): Promise<PackedBuild> {
  const whole = await wholeBuild(db, workshopId, id);
  const [library, builds, settings, finished] = await Promise.all([
    listLibrary(db, workshopId),
    listBuilds(db, workshopId),
    settingsOf(db, workshopId),
    finishedPrints(db, workshopId),
  ]);
  const packed = packBuild({
    whole,
    library,
    builds,
    thresholds: settings.thresholds ?? {},
    finishedPrints: finished,
    printAheadMinutes: settings.printAheadMinutes,
  });
  return { packed, revisions: whole.revisions.map(({ id: revision, letter }) => ({ id: revision, letter })) };
}

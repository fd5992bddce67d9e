import { LRUCache } from 'lru-cache';
import { FILE_ORDER } from '@/core/car/file/buildFile';
import { namesIn } from '@/core/car/file/references';
import type { LibraryItem } from '@/core/car/library/kinds';
import type { KeptBuild } from '@/core/car/records/records';
import { sharedBuild, usedItems } from '@/core/car/sharing/sharedBuild';
import type { Database } from '@/db/client';
import { wholeBuild } from '@/db/queries/builds';
import { listLibrary } from '@/db/queries/library';
import type { OpenShare } from '@/db/queries/shares';
import { settingsOf } from '@/db/queries/workshops';
import { buildPageStamp } from '@/db/stamps';
import { packBuild } from '@/features/session/packedBuild';

/** All that a link shows. */
export interface ShownBuild {
  whole: KeptBuild;
  /** The things of the library that it uses; nobody sees the others. */
  library: LibraryItem[];
}

/** As it is read at this moment. */
export async function shownBuild(
  db: Database,
  { workshopId, buildId, shows }: OpenShare,
): Promise<ShownBuild> {
  const whole = sharedBuild(await wholeBuild(db, workshopId, buildId), shows);
  const library = usedItems(await listLibrary(db, workshopId), namesIn(whole, 'library')).sort(
    FILE_ORDER.library,
  );
  return { whole, library };
}

interface ShownPages {
  packed: string;
  revisions: readonly { id: string; letter: string }[];
  /** Hashes of what it shows. */
  files: ReadonlySet<string>;
  meshes: ReadonlySet<string>;
}

const MOST_LETTERS = 32_000_000;
const kept = new LRUCache<string, ShownPages>({
  maxSize: MOST_LETTERS,
  sizeCalculation: ({ packed }) => packed.length,
});

/** What its pages begin with, read once until any of it is written. */
export async function shownPages(db: Database, share: OpenShare): Promise<ShownPages> {
  const stamp = await buildPageStamp(db, share.workshopId, share.buildId);
  const key = `${stamp} ${JSON.stringify(share.shows)}`;
  const known = kept.get(key);
  if (known) return known;
  const { whole, library } = await shownBuild(db, share);
  const { thresholds = {} } = await settingsOf(db, share.workshopId);
  const packed = packBuild({
    whole,
    library,
    builds: [whole.build],
    thresholds,
    // how other builds of the workshop were printed is not shown
    finishedPrints: whole.prints.filter(({ state }) => state === 'finished'),
    printAheadMinutes: undefined,
  });
  const found: ShownPages = {
    packed,
    revisions: whole.revisions.map(({ id, letter }) => ({ id, letter })),
    files: namesIn(whole, 'file'),
    meshes: namesIn(whole, 'mesh'),
  };
  kept.set(key, found);
  return found;
}

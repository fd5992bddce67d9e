import type { DeletableKind } from '@/core/car/records/deleted';
import { restoreBuild } from '@/db/queries/builds';
import { restoreFailure } from '@/db/queries/failures';
import { restoreLibraryItem } from '@/db/queries/library';
import { restorePrint } from '@/db/queries/prints';
import { restoreRun } from '@/db/queries/runs';
import type { Database } from '@/db/client';
import { DoorError } from '@/db/errors';
import { door } from '../../../door';

const RESTORE: Readonly<
  Record<DeletableKind, (db: Database, workshopId: string, id: string) => Promise<object>>
> = {
  builds: restoreBuild,
  runs: restoreRun,
  failures: restoreFailure,
  prints: restorePrint,
  library: restoreLibraryItem,
};

/** Brings back what was deleted, and answers with it. */
export const POST = door(async ({ db, workshopId, id, kind }) => {
  if (!Object.hasOwn(RESTORE, kind))
    throw new DoorError('notFound', 'Nothing of that kind can be brought back.', {
      path: 'kind',
      remedy: `use one of ${Object.keys(RESTORE).join(', ')}`,
    });
  return Response.json(await RESTORE[kind as DeletableKind](db, workshopId, id));
});

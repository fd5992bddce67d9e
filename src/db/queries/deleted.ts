import { and, eq, isNotNull, isNull, lt, or, sql } from 'drizzle-orm';
import { namesIn } from '@/core/car/file/references';
import type { Database } from '../client';
import { DoorError } from '../errors';
import {
  builds,
  failures,
  files,
  libraryItems,
  meshes,
  prints,
  rateLimits,
  revisions,
  runs,
} from '../schema';

/** What can be deleted and brought back, as its address calls it. */
const DELETABLE = { builds, runs, failures, prints, library: libraryItems } as const;
export type DeletableKind = keyof typeof DELETABLE;
export const DELETABLE_KINDS = Object.keys(DELETABLE) as DeletableKind[];

const NAMES: Readonly<Record<DeletableKind, string>> = {
  builds: 'build',
  runs: 'run',
  failures: 'failure',
  prints: 'print',
  library: 'item of the library',
};

/** Days for which what was deleted can be brought back. */
export const KEPT_DAYS = 30;
const past = sql`now() - make_interval(days => ${KEPT_DAYS})`;

/** Only what was not deleted. */
export const present = (table: (typeof DELETABLE)[DeletableKind]) => isNull(table.deletedAt);

type Writer = Pick<Database, 'update'>;

/** Takes something out of sight; deleted already it stays as it is. */
export async function softDelete(
  db: Writer,
  workshopId: string,
  kind: DeletableKind,
  id: string,
): Promise<void> {
  const table = DELETABLE[kind];
  await db
    .update(table)
    .set({ deletedAt: sql`now()` })
    .where(and(eq(table.workshopId, workshopId), eq(table.id, id), isNull(table.deletedAt)));
}

/**
 * Brings back what was deleted.
 *
 * @throws DoorError `notFound` where it was deleted too long ago, or never was
 */
export async function bringBack(
  db: Writer,
  workshopId: string,
  kind: DeletableKind,
  id: string,
): Promise<void> {
  const table = DELETABLE[kind];
  const done = await db
    .update(table)
    .set({ deletedAt: null })
    .where(
      and(
        eq(table.workshopId, workshopId),
        eq(table.id, id),
        or(isNull(table.deletedAt), sql`${table.deletedAt} > ${past}`),
      ),
    )
    .returning({ id: table.id });
  if (done.length === 0)
    throw new DoorError('notFound', `There is no such ${NAMES[kind]} in this workshop any more.`, {
      path: 'id',
      remedy: `what is deleted can be brought back for ${KEPT_DAYS} days`,
    });
}

/** Removes for good what was deleted long enough ago, and then the files that nothing names any more. */
export async function purgeDeleted(db: Database): Promise<number> {
  let purged = 0;
  for (const table of [prints, failures, runs, libraryItems, builds]) {
    const named =
      table === runs
        ? sql`not exists (select 1 from ${failures} where ${failures.workshopId} = ${runs.workshopId} and ${failures.runId} = ${runs.id})`
        : undefined;
    const gone = await db
      .delete(table)
      .where(and(isNotNull(table.deletedAt), lt(table.deletedAt, past), named))
      .returning({ id: table.id });
    purged += gone.length;
  }
  await db.delete(rateLimits).where(lt(rateLimits.windowStart, sql`now() - interval '1 hour'`));
  if (purged > 0) await purgeFiles(db);
  return purged;
}

async function purgeFiles(db: Database): Promise<void> {
  await db.transaction(async (tx) => {
    const records = {
      revisions: await tx.select({ document: revisions.document }).from(revisions),
      runs: await tx.select({ document: runs.document, photos: runs.photos, track: runs.track }).from(runs),
      failures: await tx.select({ ledger: failures.ledger }).from(failures),
    };
    for (const [table, hashes] of [
      [meshes, namesIn(records, 'mesh')],
      [files, namesIn(records, 'file')],
    ] as const) {
      await tx
        .delete(table)
        .where(
          and(lt(table.createdAt, past), sql`not (${table.hash} = any(${sql.param([...hashes])}::text[]))`),
        );
    }
  });
}

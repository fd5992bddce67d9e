import { and, eq, isNotNull, isNull, lt, or, sql } from 'drizzle-orm';
import { namesIn } from '@/core/car/file/references';
import type { DeletableKind, DeletedThing } from '@/core/car/records/deleted';
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

const DELETABLE = { builds, runs, failures, prints, library: libraryItems } as const satisfies Record<
  DeletableKind,
  unknown
>;

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

/** What was deleted and can still be brought back, the last first; what belongs to a deleted build comes back with it. */
export async function listDeleted(db: Database, workshopId: string): Promise<DeletedThing[]> {
  const gone = (table: (typeof DELETABLE)[DeletableKind]) =>
    and(eq(table.workshopId, workshopId), sql`${table.deletedAt} > ${past}`);
  const inBuild = (table: typeof runs | typeof failures | typeof prints) =>
    and(
      eq(revisions.workshopId, table.workshopId),
      eq(revisions.id, table.revisionId),
      eq(builds.workshopId, table.workshopId),
      eq(builds.id, revisions.buildId),
      isNull(builds.deletedAt),
    );
  const of = { build: builds.name, letter: revisions.letter };
  const whole = await Promise.all([
    db
      .select({ id: builds.id, name: builds.name, deletedAt: builds.deletedAt })
      .from(builds)
      .where(gone(builds))
      .then(asKind('builds')),
    db
      .select({ id: runs.id, runKind: runs.kind, deletedAt: runs.deletedAt, of })
      .from(runs)
      .innerJoin(revisions, eq(revisions.id, runs.revisionId))
      .innerJoin(builds, inBuild(runs))
      .where(gone(runs))
      .then(asKind('runs')),
    db
      .select({ id: failures.id, name: failures.partName, deletedAt: failures.deletedAt, of })
      .from(failures)
      .innerJoin(revisions, eq(revisions.id, failures.revisionId))
      .innerJoin(builds, inBuild(failures))
      .where(gone(failures))
      .then(asKind('failures')),
    db
      .select({ id: prints.id, sheet: prints.sheet, deletedAt: prints.deletedAt, of })
      .from(prints)
      .innerJoin(revisions, eq(revisions.id, prints.revisionId))
      .innerJoin(builds, inBuild(prints))
      .where(gone(prints))
      .then((rows) =>
        rows.map(({ sheet, ...row }) => ({ ...row, parts: sheet.items.map(({ partName }) => partName) })),
      )
      .then(asKind('prints')),
    db
      .select({
        id: libraryItems.id,
        libraryKind: libraryItems.kind,
        name: sql<string>`${libraryItems.data}->>'name'`,
        deletedAt: libraryItems.deletedAt,
      })
      .from(libraryItems)
      .where(gone(libraryItems))
      .then(asKind('library')),
  ]);
  return whole.flat().sort((a, b) => (a.deletedAt < b.deletedAt ? 1 : -1));
}

const asKind =
  (kind: DeletableKind) =>
  <T extends { id: string; deletedAt: Date | string | null }>(rows: readonly T[]): DeletedThing[] =>
    rows.map((row) => ({ ...row, kind, deletedAt: new Date(row.deletedAt!).toISOString() }));

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

import { type SQL, sql } from 'drizzle-orm';
import type { Database } from './client';
import { DoorError } from './errors';
import { builds, copies, failures, libraryItems, prints, revisions, runs, workshops } from './schema';

type Table =
  | typeof builds
  | typeof copies
  | typeof failures
  | typeof libraryItems
  | typeof prints
  | typeof revisions
  | typeof runs;

/** Rows by what the database itself counts: the transaction that wrote each last. */
const rowsOf = (table: Table, where: SQL) =>
  sql`(select string_agg(t.id || ' ' || t.xmin, ',' order by t.id) from ${table} t where ${where})`;
const ofRevisions = (table: Table) =>
  rowsOf(
    table,
    sql`t.workshop_id = b.workshop_id and t.revision_id in (select r.id from ${revisions} r where r.workshop_id = b.workshop_id and r.build_id = b.id)`,
  );

const ofBuild = sql`concat_ws('|', b.workshop_id, b.id, b.xmin, ${rowsOf(revisions, sql`t.workshop_id = b.workshop_id and t.build_id = b.id`)}, ${ofRevisions(runs)}, ${ofRevisions(failures)}, ${ofRevisions(prints)}, ${ofRevisions(copies)})`;
const inWorkshop = (table: Table) => rowsOf(table, sql`t.workshop_id = b.workshop_id`);
const ofWorkshop = sql`concat_ws('|', (select w.xmin from ${workshops} w where w.id = b.workshop_id), ${inWorkshop(builds)}, ${inWorkshop(libraryItems)}, ${inWorkshop(prints)})`;

/**
 * A stamp of all that the pages of a build begin with: another as soon as any of it was written.
 *
 * @throws DoorError `notFound` where there is no such build
 */
export async function buildPageStamp(db: Database, workshopId: string, id: string): Promise<string> {
  const { rows } = await db.execute<{ stamp: string }>(
    sql`select md5(${ofBuild} || '#' || ${ofWorkshop}) as stamp from ${builds} b where b.workshop_id = ${workshopId} and b.id = ${id} and b.deleted_at is null`,
  );
  if (!rows[0]) throw new DoorError('notFound', 'There is no such build in this workshop.');
  return rows[0].stamp;
}

/** A stamp of each build of a workshop, with its records. */
export async function buildStamps(
  db: Database,
  workshopId: string,
): Promise<{ id: string; stamp: string }[]> {
  const { rows } = await db.execute<{ id: string; stamp: string }>(
    sql`select b.id, md5(${ofBuild}) as stamp from ${builds} b where b.workshop_id = ${workshopId} and b.deleted_at is null order by b.created_at, b.id`,
  );
  return rows;
}

/** A stamp of a whole workshop: another as soon as anything in it was written. */
export async function workshopStamp(db: Database, workshopId: string): Promise<string> {
  const builds = await buildStamps(db, workshopId);
  const { rows } = await db.execute<{ stamp: string }>(
    sql`select md5(concat_ws('|', b.xmin, b.name, ${rowsOf(libraryItems, sql`t.workshop_id = b.id`)}, ${builds.map(({ stamp }) => stamp).join(' ')}::text)) as stamp from ${workshops} b where b.id = ${workshopId}`,
  );
  return rows[0]!.stamp;
}

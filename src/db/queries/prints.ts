import { and, asc, eq, inArray, notExists, sql } from 'drizzle-orm';
import type { Versioned } from '@/core/car/records/records';
import { copiesOf } from '@/core/worked/print/log';
import type { CopyRecord, CopySheet, PrintRecord, PrintSheet } from '@/core/car/records/prints';
import type { Database } from '../client';
import { DoorError } from '../errors';
import { copies, prints } from '../schema';
import { writing } from '../writing';
import { bringBack, present, softDelete } from './deleted';
import { revisionToWriteTo } from './revisions';
import { refuseStale } from './stale';

type Writer = Pick<Database, 'select' | 'insert' | 'delete' | 'update'>;
type KeptPrint = Versioned<PrintRecord>;
type KeptCopy = Versioned<CopyRecord>;
interface Logged {
  print: KeptPrint;
  copies: KeptCopy[];
}

const [printColumns, copyColumns] = [
  { revisionId: prints.revisionId, sheet: prints.sheet, version: prints.version },
  { revisionId: copies.revisionId, sheet: copies.sheet, version: copies.version },
];
const toRecord = <S extends PrintSheet | CopySheet>({
  sheet,
  revisionId,
  version,
}: {
  sheet: S;
  revisionId: string;
  version: number;
}): S & { revisionId: string; version: number } => ({ ...sheet, revisionId, version });

export async function printsOfRevisions(
  db: Database,
  workshopId: string,
  revisionIds: string[],
): Promise<{ prints: KeptPrint[]; copies: KeptCopy[] }> {
  if (revisionIds.length === 0) return { prints: [], copies: [] };
  const logged = await db
    .select(printColumns)
    .from(prints)
    .where(and(eq(prints.workshopId, workshopId), inArray(prints.revisionId, revisionIds), present(prints)))
    .orderBy(asc(sql`${prints.sheet}->>'queuedAt'`), asc(prints.id));
  const made = await db
    .select(copyColumns)
    .from(copies)
    .where(and(eq(copies.workshopId, workshopId), inArray(copies.revisionId, revisionIds), ofPresentPrint))
    .orderBy(asc(sql`${copies.sheet}->>'madeAt'`), asc(copies.id));
  return { prints: logged.map(toRecord), copies: made.map(toRecord) };
}

const MOST_FINISHED = 1000;

/** What was printed in the whole workshop, for what it says of each printer. */
export async function finishedPrints(db: Database, workshopId: string): Promise<PrintSheet[]> {
  const rows = await db
    .select({ sheet: prints.sheet })
    .from(prints)
    .where(
      and(eq(prints.workshopId, workshopId), sql`${prints.sheet}->>'state' = 'finished'`, present(prints)),
    )
    .orderBy(asc(prints.id))
    .limit(MOST_FINISHED);
  return rows.map(({ sheet }) => sheet);
}

/** Queues or logs a print; the same id twice makes one. */
export async function logPrint(
  db: Database,
  workshopId: string,
  revisionId: string,
  sheet: PrintSheet,
): Promise<Logged & { created: boolean }> {
  return writing(db, async (tx) => {
    await revisionToWriteTo(tx, workshopId, revisionId);
    const made = await tx
      .insert(prints)
      .values({ workshopId, id: sheet.id, revisionId, sheet })
      .onConflictDoNothing()
      .returning();
    const known = made[0] ?? (await printRow(tx, workshopId, sheet.id));
    if (known.revisionId !== revisionId)
      throw new DoorError('exists', 'A print of this id belongs to another revision.', {
        path: 'id',
        remedy: 'make a new id',
      });
    const print = toRecord(known);
    return { print, copies: await keepCopies(tx, workshopId, print), created: made.length > 0 };
  });
}

/**
 * Changes a print that was read at a version; finished it leaves its copies, and while it turns out not to be they are out of sight.
 *
 * @throws DoorError `conflict` with the print as it stands where it is another by now
 */
export async function changePrint(
  db: Database,
  workshopId: string,
  version: number,
  sheet: PrintSheet,
): Promise<Logged> {
  return writing(db, async (tx) => {
    const present = await printRow(tx, workshopId, sheet.id);
    refuseStale(version, toRecord(present));
    await tx
      .update(prints)
      .set({ sheet, version: version + 1 })
      .where(and(eq(prints.workshopId, workshopId), eq(prints.id, sheet.id)));
    const print = toRecord({ sheet, revisionId: present.revisionId, version: version + 1 });
    return { print, copies: await keepCopies(tx, workshopId, print) };
  });
}

export async function deletePrint(db: Database, workshopId: string, id: string): Promise<void> {
  await softDelete(db, workshopId, 'prints', id);
}

/** Brings a print back with its copies as they were. */
export async function restorePrint(db: Database, workshopId: string, id: string): Promise<Logged> {
  await bringBack(db, workshopId, 'prints', id);
  const print = toRecord(await printRow(db, workshopId, id));
  const rows = await db
    .select(copyColumns)
    .from(copies)
    .where(and(eq(copies.workshopId, workshopId), eq(copies.printId, id), ofPresentPrint));
  return { print, copies: rows.map(toRecord) };
}

/** The copies of a print that was deleted, or that is not finished after all, are out of sight with what was measured on them. */
const ofPresentPrint = notExists(
  sql`(select 1 from ${prints} where ${prints.workshopId} = ${copies.workshopId} and ${prints.id} = ${copies.printId} and (${prints.deletedAt} is not null or ${prints.sheet}->>'state' <> 'finished'))`,
);

/**
 * Changes a copy that was read at a version; which print it is from stays.
 *
 * @throws DoorError `conflict` with the copy as it stands where it is another by now
 */
export async function changeCopy(
  db: Database,
  workshopId: string,
  version: number,
  { printId: _, ...given }: CopySheet,
): Promise<KeptCopy> {
  const own = and(eq(copies.workshopId, workshopId), eq(copies.id, given.id));
  return writing(db, async (tx) => {
    const [present] = await tx
      .select({ ...copyColumns, printId: copies.printId })
      .from(copies)
      .where(and(own, ofPresentPrint))
      .for('update');
    if (!present)
      throw new DoorError('notFound', 'There is no such copy in this workshop.', {
        path: 'id',
        remedy: 'its print was taken back; load the page again',
      });
    refuseStale(version, toRecord(present));
    const sheet: CopySheet = { ...given, ...(present.printId === null ? {} : { printId: present.printId }) };
    await tx
      .update(copies)
      .set({ sheet, version: version + 1 })
      .where(own);
    return toRecord({ sheet, revisionId: present.revisionId, version: version + 1 });
  });
}

/** A print, which no other changes or deletes before the transaction ends. */
async function printRow(tx: Writer, workshopId: string, id: string): Promise<typeof prints.$inferSelect> {
  const [found] = await tx
    .select()
    .from(prints)
    .where(and(eq(prints.workshopId, workshopId), eq(prints.id, id), present(prints)))
    .for('update');
  if (!found)
    throw new DoorError('notFound', 'There is no such print in this workshop.', {
      path: 'id',
      remedy: 'it was deleted meanwhile; load the page again',
    });
  return found;
}

/** The copies of a finished print; what was said of one already stays. */
async function keepCopies(
  tx: Writer,
  workshopId: string,
  { revisionId, ...print }: KeptPrint,
): Promise<KeptCopy[]> {
  if (print.state !== 'finished') return [];
  const fresh = copiesOf(print);
  await tx
    .insert(copies)
    .values(fresh.map((sheet) => ({ workshopId, id: sheet.id, revisionId, sheet })))
    .onConflictDoNothing();
  const rows = await tx
    .select(copyColumns)
    .from(copies)
    .where(
      and(
        eq(copies.workshopId, workshopId),
        inArray(
          copies.id,
          fresh.map(({ id }) => id),
        ),
      ),
    );
  const other = rows.findIndex(({ sheet }) => sheet.printId !== print.id);
  if (other >= 0)
    throw new DoorError('exists', `The id ${rows[other]!.sheet.id} belongs to a copy of another print.`, {
      path: 'items',
      remedy: 'make a new id for each copy',
    });
  return rows.map(toRecord);
}

import { and, asc, eq, inArray, notExists, sql } from 'drizzle-orm';
import { type CopyRecord, type CopySheet, copiesOf, type PrintRecord, type PrintSheet } from '@/core/print/log';
import type { Database } from '../client';
import { DoorError } from '../errors';
import { copies, prints } from '../schema';
import { writing } from '../writing';
import { bringBack, present, softDelete } from './deleted';
import { revisionToWriteTo } from './revisions';

type Writer = Pick<Database, 'select' | 'insert' | 'delete' | 'update'>;

export async function printsOfRevisions(db: Database, workshopId: string, revisionIds: string[]): Promise<{ prints: PrintRecord[]; copies: CopyRecord[] }> {
  if (revisionIds.length === 0) return { prints: [], copies: [] };
  const logged = await db.select({ revisionId: prints.revisionId, sheet: prints.sheet }).from(prints).where(and(eq(prints.workshopId, workshopId), inArray(prints.revisionId, revisionIds), present(prints))).orderBy(asc(sql`${prints.sheet}->>'queuedAt'`), asc(prints.id));
  const made = await db.select({ revisionId: copies.revisionId, sheet: copies.sheet }).from(copies).where(and(eq(copies.workshopId, workshopId), inArray(copies.revisionId, revisionIds), ofPresentPrint)).orderBy(asc(sql`${copies.sheet}->>'madeAt'`), asc(copies.id));
  return { prints: logged.map(({ revisionId, sheet }) => ({ ...sheet, revisionId })), copies: made.map(({ revisionId, sheet }) => ({ ...sheet, revisionId })) };
}

const MOST_FINISHED = 1000;

/** What was printed in the whole workshop, for what it says of each printer. */
export async function finishedPrints(db: Database, workshopId: string): Promise<PrintSheet[]> {
  const rows = await db.select({ sheet: prints.sheet }).from(prints).where(and(eq(prints.workshopId, workshopId), sql`${prints.sheet}->>'state' = 'finished'`, present(prints))).orderBy(asc(prints.id)).limit(MOST_FINISHED);
  return rows.map(({ sheet }) => sheet);
}

/** Queues or logs a print; the same id twice makes one. */
export async function logPrint(db: Database, workshopId: string, revisionId: string, sheet: PrintSheet): Promise<{ print: PrintRecord; copies: CopyRecord[]; created: boolean }> {
  return writing(db, async (tx) => {
    await revisionToWriteTo(tx, workshopId, revisionId);
    const made = await tx.insert(prints).values({ workshopId, id: sheet.id, revisionId, sheet }).onConflictDoNothing().returning();
    const known = made[0] ?? (await printRow(tx, workshopId, sheet.id));
    if (known.revisionId !== revisionId) throw new DoorError('exists', 'A print of this id belongs to another revision.', { path: 'id', remedy: 'make a new id' });
    const print: PrintRecord = { ...known.sheet, revisionId };
    return { print, copies: await keepCopies(tx, workshopId, print), created: made.length > 0 };
  });
}

/** Changes a print; finished it leaves its copies, and one that turns out not to be finished takes them back. */
export async function changePrint(db: Database, workshopId: string, sheet: PrintSheet): Promise<{ print: PrintRecord; copies: CopyRecord[] }> {
  return writing(db, async (tx) => {
    const { revisionId } = await printRow(tx, workshopId, sheet.id);
    await tx.update(prints).set({ sheet }).where(and(eq(prints.workshopId, workshopId), eq(prints.id, sheet.id)));
    if (sheet.state !== 'finished') await tx.delete(copies).where(ofPrint(workshopId, sheet.id));
    const print: PrintRecord = { ...sheet, revisionId };
    return { print, copies: await keepCopies(tx, workshopId, print) };
  });
}

export async function deletePrint(db: Database, workshopId: string, id: string): Promise<void> {
  await softDelete(db, workshopId, 'prints', id);
}

/** Brings a print back with its copies as they were. */
export async function restorePrint(db: Database, workshopId: string, id: string): Promise<{ print: PrintRecord; copies: CopyRecord[] }> {
  await bringBack(db, workshopId, 'prints', id);
  const { revisionId, sheet } = await printRow(db, workshopId, id);
  const rows = await db.select({ revisionId: copies.revisionId, sheet: copies.sheet }).from(copies).where(ofPrint(workshopId, id));
  return { print: { ...sheet, revisionId }, copies: rows.map((row) => ({ ...row.sheet, revisionId: row.revisionId })) };
}

/** The copies of a deleted print are out of sight with it. */
const ofPresentPrint = notExists(sql`(select 1 from ${prints} where ${prints.workshopId} = ${copies.workshopId} and ${prints.id} = ${copies.sheet}->>'printId' and ${prints.deletedAt} is not null)`);

export async function changeCopy(db: Database, workshopId: string, sheet: CopySheet): Promise<CopyRecord> {
  const own = and(eq(copies.workshopId, workshopId), eq(copies.id, sheet.id));
  const [saved] = await db.update(copies).set({ sheet }).where(own).returning({ revisionId: copies.revisionId });
  if (!saved) throw new DoorError('notFound', 'There is no such copy in this workshop.', { path: 'id', remedy: 'its print was taken back; load the page again' });
  return { ...sheet, revisionId: saved.revisionId };
}

const ofPrint = (workshopId: string, printId: string) => and(eq(copies.workshopId, workshopId), sql`${copies.sheet}->>'printId' = ${printId}`);

/** A print, which no other changes or deletes before the transaction ends. */
async function printRow(tx: Writer, workshopId: string, id: string): Promise<typeof prints.$inferSelect> {
  const [found] = await tx.select().from(prints).where(and(eq(prints.workshopId, workshopId), eq(prints.id, id), present(prints))).for('update');
  if (!found) throw new DoorError('notFound', 'There is no such print in this workshop.', { path: 'id', remedy: 'it was deleted meanwhile; load the page again' });
  return found;
}

/** The copies of a finished print; what was said of one already stays. */
async function keepCopies(tx: Writer, workshopId: string, print: PrintRecord): Promise<CopyRecord[]> {
  if (print.state !== 'finished') return [];
  const fresh = copiesOf(print);
  await tx.insert(copies).values(fresh.map(({ revisionId, ...sheet }) => ({ workshopId, id: sheet.id, revisionId, sheet }))).onConflictDoNothing();
  const rows = await tx.select({ revisionId: copies.revisionId, sheet: copies.sheet }).from(copies).where(and(eq(copies.workshopId, workshopId), inArray(copies.id, fresh.map(({ id }) => id))));
  const other = rows.findIndex(({ sheet }) => sheet.printId !== print.id);
  if (other >= 0) throw new DoorError('exists', `The id ${rows[other]!.sheet.id} belongs to a copy of another print.`, { path: 'items', remedy: 'make a new id for each copy' });
  return rows.map(({ revisionId, sheet }) => ({ ...sheet, revisionId }));
}

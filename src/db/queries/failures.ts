import { and, asc, eq, inArray } from 'drizzle-orm';
import type { FailureRecord, FailureSheet, Versioned } from '@/core/car/records/records';
import type { Database } from '../client';
import { DoorError } from '../errors';
import { failures, runs } from '../schema';
import { writing } from '../writing';
import { compact } from './compact';
import { bringBack, present, softDelete } from './deleted';
import { refuseStale } from './stale';
import { revisionById, revisionToWriteTo } from './revisions';

type Kept = Versioned<FailureRecord>;

const toRecord = (row: typeof failures.$inferSelect): Kept => {
  const { workshopId: _, deletedAt: __, ...record } = row;
  return compact(record) as Kept;
};

export async function failuresOfRevisions(
  db: Database,
  workshopId: string,
  revisionIds: string[],
): Promise<Kept[]> {
  if (revisionIds.length === 0) return [];
  const rows = await db
    .select()
    .from(failures)
    .where(
      and(eq(failures.workshopId, workshopId), inArray(failures.revisionId, revisionIds), present(failures)),
    )
    .orderBy(asc(failures.occurredAt), asc(failures.id));
  return rows.map(toRecord);
}

/** Notes a failure; the same id twice makes one. */
export async function noteFailure(
  db: Database,
  workshopId: string,
  revisionId: string,
  sheet: FailureSheet,
): Promise<{ failure: Kept; created: boolean }> {
  return writing(db, async (tx) => {
    const { buildId } = await revisionToWriteTo(tx, workshopId, revisionId);
    await refuseStrangers(tx, workshopId, buildId, sheet);
    const made = await tx
      .insert(failures)
      .values({ workshopId, revisionId, ...sheet })
      .onConflictDoNothing()
      .returning();
    if (made[0]) return { failure: toRecord(made[0]), created: true };
    const [known] = await tx
      .select()
      .from(failures)
      .where(and(eq(failures.workshopId, workshopId), eq(failures.id, sheet.id)));
    if (known!.revisionId !== revisionId)
      throw new DoorError('exists', 'A failure of this id belongs to another revision.', {
        path: 'id',
        remedy: 'make a new id',
      });
    return { failure: toRecord(known!), created: false };
  });
}

/**
 * Changes a failure that was read at a version.
 *
 * @throws DoorError `conflict` with the failure as it stands where it is another by now
 */
export async function changeFailure(
  db: Database,
  workshopId: string,
  version: number,
  sheet: FailureSheet,
): Promise<Kept> {
  const own = and(eq(failures.workshopId, workshopId), eq(failures.id, sheet.id), present(failures));
  const missing = () => new DoorError('notFound', 'There is no such failure in this workshop.');
  return writing(db, async (tx) => {
    const [known] = await tx.select({ revisionId: failures.revisionId }).from(failures).where(own);
    if (!known) throw missing();
    const { buildId } = await revisionToWriteTo(tx, workshopId, known.revisionId);
    const [now] = await tx.select().from(failures).where(own).for('update');
    if (!now) throw missing();
    refuseStale(version, toRecord(now));
    await refuseStrangers(tx, workshopId, buildId, sheet);
    const emptied = {
      runId: null,
      partId: null,
      hours: null,
      story: null,
      fix: null,
      fixRevisionId: null,
      ledger: null,
    };
    const [saved] = await tx
      .update(failures)
      .set({ ...emptied, ...sheet, version: version + 1 })
      .where(own)
      .returning();
    return toRecord(saved!);
  });
}

export async function deleteFailure(db: Database, workshopId: string, id: string): Promise<void> {
  await softDelete(db, workshopId, 'failures', id);
}

/** Brings a failure back, with the run that it happened in. */
export async function restoreFailure(db: Database, workshopId: string, id: string): Promise<Kept> {
  return writing(db, async (tx) => {
    await bringBack(tx, workshopId, 'failures', id);
    const [row] = await tx
      .select()
      .from(failures)
      .where(and(eq(failures.workshopId, workshopId), eq(failures.id, id)));
    if (row!.runId !== null) await bringBack(tx, workshopId, 'runs', row!.runId);
    return toRecord(row!);
  });
}

/** A failure points to runs and revisions of its own build only; the run is not deleted before the transaction ends. */
async function refuseStrangers(
  db: Database,
  workshopId: string,
  buildId: string,
  { runId, fixRevisionId }: FailureSheet,
): Promise<void> {
  if (runId !== undefined) {
    const [run] = await db
      .select({ revisionId: runs.revisionId })
      .from(runs)
      .where(and(eq(runs.workshopId, workshopId), eq(runs.id, runId), present(runs)))
      .for('share');
    if (!run || (await revisionById(db, workshopId, run.revisionId)).buildId !== buildId)
      throw new DoorError('notFound', 'names a run that this build does not have', { path: 'runId' });
  }
  if (
    fixRevisionId !== undefined &&
    (await revisionById(db, workshopId, fixRevisionId)).buildId !== buildId
  ) {
    throw new DoorError('notFound', 'names a revision that this build does not have', {
      path: 'fixRevisionId',
    });
  }
}

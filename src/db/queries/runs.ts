import { and, asc, eq, getTableColumns, inArray } from 'drizzle-orm';
import type { BuildDocument } from '@/core/car/document/document';
import { RUN_KIND_RECORDS } from '@/core/car/records/runKinds';
import { predictPack } from '@/core/worked/field/predictPack';
import { predictRun } from '@/core/worked/field/predictRun';
import { isTimed, type RunRecord, type RunSheet } from '@/core/car/records/records';
import type { Database } from '../client';
import { drivenDocuments } from '../documents';
import { DoorError } from '../errors';
import { failures, runs } from '../schema';
import { writing } from '../writing';
import { compact } from './compact';
import { bringBack, present, softDelete } from './deleted';
import { revisionToWriteTo } from './revisions';

type Row = typeof runs.$inferSelect;

const lightRecord = (row: Omit<Row, 'document'>): Omit<RunRecord, 'document'> => {
  const { workshopId: _, documentMark: __, deletedAt: ___, ...record } = row;
  return compact(record) as Omit<RunRecord, 'document'>;
};
const toRecord = (row: Row): RunRecord => lightRecord(row) as RunRecord;

const { document: _document, ...light } = getTableColumns(runs);

/** Runs of revisions; those that were driven with the same build share one document, which is read once. */
export async function runsOfRevisions(
  db: Database,
  workshopId: string,
  revisionIds: string[],
): Promise<RunRecord[]> {
  if (revisionIds.length === 0) return [];
  const own = and(eq(runs.workshopId, workshopId), inArray(runs.revisionId, revisionIds), present(runs));
  const rows = await db.select(light).from(runs).where(own).orderBy(asc(runs.ranAt), asc(runs.id));
  const documents = await drivenDocuments(
    db,
    own,
    rows.map(({ documentMark }) => documentMark!),
  );
  // a run that was deleted between the two is in sight no more
  return rows.flatMap((row) => {
    const document = documents.get(row.documentMark!);
    return document === undefined ? [] : [toRecord({ ...row, document })];
  });
}

const RUNS_AT_ONCE = 50;

/** One run apart from the document that it was driven with, which goes by its mark. */
export interface MarkedRun {
  mark: string;
  run: Omit<RunRecord, 'document'>;
  /** Where it is asked for. */
  document?: BuildDocument;
}

/** Runs of revisions in an order, some at a time; documents are read only for marks that are asked for. */
export async function* runsInParts(
  db: Database,
  workshopId: string,
  revisionIds: string[],
  order: (a: Pick<RunRecord, 'id' | 'ranAt'>, b: Pick<RunRecord, 'id' | 'ranAt'>) => number,
  isAsked: (mark: string) => boolean,
): AsyncGenerator<MarkedRun[]> {
  if (revisionIds.length === 0) return;
  const ofWorkshop = eq(runs.workshopId, workshopId);
  const all = await db
    .select({ id: runs.id, ranAt: runs.ranAt })
    .from(runs)
    .where(and(ofWorkshop, inArray(runs.revisionId, revisionIds), present(runs)));
  const ids = all.sort(order).map(({ id }) => id);
  for (let from = 0; from < ids.length; from += RUNS_AT_ONCE) {
    const some = and(ofWorkshop, inArray(runs.id, ids.slice(from, from + RUNS_AT_ONCE)));
    const rows = await db.select(light).from(runs).where(some);
    const documents = await drivenDocuments(
      db,
      some,
      rows.map(({ documentMark }) => documentMark!).filter(isAsked),
    );
    yield rows.sort(order).map((row) => {
      const document = documents.get(row.documentMark!);
      return { mark: row.documentMark!, run: lightRecord(row), ...(document ? { document } : {}) };
    });
  }
}

/** Logs a run with the prediction for its conditions, made from the build as it was run; the same id twice makes one. */
export async function logRun(
  db: Database,
  workshopId: string,
  revisionId: string,
  sheet: RunSheet,
): Promise<{ run: RunRecord; created: boolean }> {
  const predicted = isTimed(sheet) ? predictRun(sheet.document, sheet.kind, sheet.conditions) : undefined;
  const packPredicted = RUN_KIND_RECORDS[sheet.kind].wholePack
    ? predictPack(sheet.document, sheet.conditions)
    : undefined;
  const record: RunRecord = {
    ...sheet,
    ...(packPredicted ? { report: { ...sheet.report, packPredicted } } : {}),
    revisionId,
    ...(predicted?.ok ? { prediction: predicted.value } : {}),
  };
  return writing(db, async (tx) => {
    await revisionToWriteTo(tx, workshopId, revisionId);
    const made = await tx
      .insert(runs)
      .values({ workshopId, ...record })
      .onConflictDoNothing()
      .returning();
    if (made[0]) return { run: toRecord(made[0]), created: true };
    const [known] = await tx
      .select()
      .from(runs)
      .where(and(eq(runs.workshopId, workshopId), eq(runs.id, sheet.id)));
    if (known!.revisionId !== revisionId)
      throw new DoorError('exists', 'A run of this id belongs to another revision.', {
        path: 'id',
        remedy: 'make a new id',
      });
    return { run: toRecord(known!), created: false };
  });
}

export async function deleteRun(db: Database, workshopId: string, id: string): Promise<void> {
  await writing(db, async (tx) => {
    await tx
      .select({ id: runs.id })
      .from(runs)
      .where(and(eq(runs.workshopId, workshopId), eq(runs.id, id)))
      .for('update');
    const [failure] = await tx
      .select({ part: failures.partName })
      .from(failures)
      .where(and(eq(failures.workshopId, workshopId), eq(failures.runId, id), present(failures)));
    if (failure)
      throw new DoorError('inUse', `The failure of ${failure.part} points to this run.`, {
        remedy: 'take the run out of the failure first',
      });
    await softDelete(tx, workshopId, 'runs', id);
  });
}

export async function restoreRun(db: Database, workshopId: string, id: string): Promise<RunRecord> {
  await bringBack(db, workshopId, 'runs', id);
  const [row] = await db
    .select()
    .from(runs)
    .where(and(eq(runs.workshopId, workshopId), eq(runs.id, id)));
  return toRecord(row!);
}

import { and, eq, getTableColumns, type SQL, sql } from 'drizzle-orm';
import type { BuildDocument } from '@/core/car/document/document';
import { nextLetter } from '@/core/base/letters';
import type { RevisionRecord } from '@/core/car/records/records';
import type { Database } from '../client';
import { knownDocuments } from '../documents';
import { DoorError } from '../errors';
import { builds, revisions } from '../schema';
import { writing } from '../writing';
import { compact } from './compact';
import { present } from './deleted';

type Writer = Pick<Database, 'insert' | 'select' | 'update' | 'delete' | 'execute'>;

const { document: _document, ...light } = getTableColumns(revisions);
const ofPresentBuild = and(
  eq(builds.workshopId, revisions.workshopId),
  eq(builds.id, revisions.buildId),
  present(builds),
);

/** Revisions of builds that were not deleted; a document that is known here is not read again. */
async function select(db: Writer, where: SQL | undefined): Promise<RevisionRecord[]> {
  const { column, documentOf } = knownDocuments();
  const rows = await db
    .select({ row: light, document: column })
    .from(revisions)
    .innerJoin(builds, ofPresentBuild)
    .where(where);
  return rows.map(({ row, document }) => {
    const { workshopId: _, documentMark, ...record } = row;
    return compact({ ...record, document: documentOf(documentMark, document) });
  });
}

export const listRevisions = (db: Writer, workshopId: string, buildId: string): Promise<RevisionRecord[]> =>
  select(db, and(eq(revisions.workshopId, workshopId), eq(revisions.buildId, buildId)));

/** Every revision of a workshop, for the garage and for what uses a library item. */
export const allRevisions = (db: Database, workshopId: string): Promise<RevisionRecord[]> =>
  select(db, eq(revisions.workshopId, workshopId));

export async function revisionById(db: Writer, workshopId: string, id: string): Promise<RevisionRecord> {
  const [found] = await select(db, and(eq(revisions.workshopId, workshopId), eq(revisions.id, id)));
  if (!found) throw new DoorError('notFound', 'There is no such revision in this workshop.');
  return found;
}

export async function saveNewRevision(
  db: Writer,
  workshopId: string,
  record: Omit<RevisionRecord, 'version'>,
): Promise<void> {
  await db.insert(revisions).values({ workshopId, ...record });
}

/**
 * Saves a document over the version that the writer had read; a stale one gets the present document back.
 *
 * @throws DoorError `conflict` with the present version, `locked` where a later revision stands on this one
 */
export async function saveDocument(
  db: Database,
  workshopId: string,
  id: string,
  version: number,
  document: BuildDocument,
): Promise<RevisionRecord> {
  return writing(db, async (tx) => {
    await lockBuildOf(tx, workshopId, id);
    const present = await revisionById(tx, workshopId, id);
    await refuseWithChild(tx, workshopId, present);
    if (present.closedAt)
      throw new DoorError('locked', `Revision ${present.letter} is closed.`, {
        remedy: `open ${present.letter} again, or open the next revision on it`,
      });
    if (present.version !== version) {
      throw new DoorError('conflict', 'This revision was changed elsewhere since it was read.', {
        current: { version: present.version, document: present.document },
        remedy: 'merge both and save again',
      });
    }
    await tx
      .update(revisions)
      .set({ document, version: version + 1 })
      .where(and(eq(revisions.workshopId, workshopId), eq(revisions.id, id)));
    return { ...present, document, version: version + 1 };
  });
}

/** Opens the next revision on a parent with its document; sending the same id twice makes one. */
export async function openNextRevision(
  db: Database,
  workshopId: string,
  parentId: string,
  given: { id: string; why: string; expected?: string; createdAt: string },
): Promise<RevisionRecord> {
  return writing(db, async (tx) => {
    await lockBuildOf(tx, workshopId, parentId);
    const parent = await revisionById(tx, workshopId, parentId);
    const siblings = await listRevisions(tx, workshopId, parent.buildId);
    const known = siblings.find(({ id }) => id === given.id);
    if (known) return known;
    const record = {
      ...given,
      buildId: parent.buildId,
      parentId,
      letter: nextLetter(siblings.map(({ letter }) => letter)),
      document: parent.document,
    };
    await saveNewRevision(tx, workshopId, record);
    return { ...record, version: 1 };
  });
}

/** What is said of a revision beside its document: what it taught, and whether it is closed. */
export async function describeRevision(
  db: Database,
  workshopId: string,
  id: string,
  given: { learned?: string; closedAt?: string | null },
): Promise<RevisionRecord> {
  return writing(db, async (tx) => {
    await lockBuildOf(tx, workshopId, id);
    const present = await revisionById(tx, workshopId, id);
    if (given.closedAt === null) await refuseWithChild(tx, workshopId, present);
    await tx
      .update(revisions)
      .set({
        ...given,
        ...(given.learned === undefined ? {} : { learned: given.learned === '' ? null : given.learned }),
      })
      .where(and(eq(revisions.workshopId, workshopId), eq(revisions.id, id)));
    return revisionById(tx, workshopId, id);
  });
}

async function refuseWithChild(
  db: Writer,
  workshopId: string,
  { id, letter }: RevisionRecord,
): Promise<void> {
  const [child] = await db
    .select({ letter: revisions.letter })
    .from(revisions)
    .where(and(eq(revisions.workshopId, workshopId), eq(revisions.parentId, id)));
  if (child)
    throw new DoorError('locked', `Revision ${letter} is closed: ${child.letter} stands on it.`, {
      remedy: `change ${child.letter}, or open another revision on ${letter}`,
    });
}

async function lockBuildOf(db: Writer, workshopId: string, revisionId: string): Promise<void> {
  await db.execute(
    sql`select 1 from builds b join revisions r on r.workshop_id = b.workshop_id and r.build_id = b.id where r.workshop_id = ${workshopId} and r.id = ${revisionId} for update of b`,
  );
}

/** The revision that a record is written to; its build is not deleted before the transaction ends. */
export async function revisionToWriteTo(db: Writer, workshopId: string, id: string): Promise<RevisionRecord> {
  await db.execute(
    sql`select 1 from builds b join revisions r on r.workshop_id = b.workshop_id and r.build_id = b.id where r.workshop_id = ${workshopId} and r.id = ${id} for share of b`,
  );
  return revisionById(db, workshopId, id);
}

import { and, asc, eq } from 'drizzle-orm';
import { type BuildDocument, emptyDocument } from '@/core/car/document/document';
import { letterAt } from '@/core/base/letters';
import type { BuildRecord, KeptBuild } from '@/core/car/records/records';
import { FILE_ORDER } from '@/core/car/file/buildFile';
import type { Database } from '../client';
import { DoorError } from '../errors';
import { builds } from '../schema';
import { writing } from '../writing';
import { compact } from './compact';
import { bringBack, present, softDelete } from './deleted';
import { printsOfRevisions } from './prints';
import { failuresOfRevisions } from './failures';
import { listRevisions, saveNewRevision } from './revisions';
import { runsOfRevisions } from './runs';

const shown = { id: builds.id, name: builds.name, createdAt: builds.createdAt, origin: builds.origin };

export async function listBuilds(db: Database, workshopId: string): Promise<BuildRecord[]> {
  const found = await db
    .select(shown)
    .from(builds)
    .where(and(eq(builds.workshopId, workshopId), present(builds)))
    .orderBy(asc(builds.createdAt), asc(builds.id));
  return found.map(compact);
}

export async function buildRecord(db: Database, workshopId: string, id: string): Promise<BuildRecord> {
  const [build] = await db
    .select(shown)
    .from(builds)
    .where(and(eq(builds.workshopId, workshopId), eq(builds.id, id), present(builds)));
  if (!build) throw new DoorError('notFound', 'There is no such build in this workshop.');
  return compact(build);
}

export async function wholeBuild(db: Database, workshopId: string, id: string): Promise<KeptBuild> {
  const build = await buildRecord(db, workshopId, id);
  const revisions = (await listRevisions(db, workshopId, id)).sort(FILE_ORDER.revisions);
  const ids = revisions.map((revision) => revision.id);
  const runs = await runsOfRevisions(db, workshopId, ids);
  const failures = await failuresOfRevisions(db, workshopId, ids);
  return { build, revisions, runs, failures, ...(await printsOfRevisions(db, workshopId, ids)) };
}

/** A new build with its first revision; sending the same id twice makes one. */
export async function createBuild(
  db: Database,
  workshopId: string,
  given: { id: string; revisionId: string; name: string; document?: BuildDocument; createdAt: string },
): Promise<KeptBuild> {
  await writing(db, async (tx) => {
    const made = await tx
      .insert(builds)
      .values({ workshopId, id: given.id, name: given.name, createdAt: given.createdAt })
      .onConflictDoNothing()
      .returning({ id: builds.id });
    if (made.length === 0) return;
    await saveNewRevision(tx, workshopId, {
      id: given.revisionId,
      buildId: given.id,
      letter: letterAt(0),
      document: given.document ?? emptyDocument(),
      createdAt: given.createdAt,
    });
  });
  return wholeBuild(db, workshopId, given.id);
}

export async function renameBuild(db: Database, workshopId: string, id: string, name: string): Promise<void> {
  const done = await db
    .update(builds)
    .set({ name })
    .where(and(eq(builds.workshopId, workshopId), eq(builds.id, id), present(builds)))
    .returning({ id: builds.id });
  if (done.length === 0) throw new DoorError('notFound', 'There is no such build in this workshop.');
}

export async function deleteBuild(db: Database, workshopId: string, id: string): Promise<void> {
  await softDelete(db, workshopId, 'builds', id);
}

export async function restoreBuild(db: Database, workshopId: string, id: string): Promise<KeptBuild> {
  await bringBack(db, workshopId, 'builds', id);
  return wholeBuild(db, workshopId, id);
}

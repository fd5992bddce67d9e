import { randomUUID } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import { type BuildFile, FILE_FORMAT, FILE_VERSION, libraryIdsIn, writeBuildFile } from '@/core/file/buildFile';
import type { Database } from '../client';
import { DoorError } from '../errors';
import { builds, copies, failures, libraryItems, prints, revisions, runs } from '../schema';
import { wholeBuild } from './builds';
import { listLibrary } from './library';
import { allRevisions } from './revisions';

/** The whole build as the text of a build file. */
export async function exportBuild(db: Database, workshopId: string, id: string): Promise<{ name: string; text: string }> {
  const { build, revisions: own, runs: ownRuns, failures: ownFailures, prints: ownPrints, copies: ownCopies } = await wholeBuild(db, workshopId, id);
  const used = libraryIdsIn(own.map(({ document }) => document));
  const all = await listLibrary(db, workshopId);
  const compounds = new Set(all.flatMap((item) => (item.kind === 'tyre' && used.has(item.id) ? [(item.data as { compound: string }).compound] : [])));
  const text = writeBuildFile({
    format: FILE_FORMAT,
    formatVersion: FILE_VERSION,
    build,
    revisions: own.map(({ buildId: _build, version: _version, ...revision }) => revision),
    runs: ownRuns,
    failures: ownFailures,
    prints: ownPrints,
    copies: ownCopies,
    library: all.filter((item) => used.has(item.id) || compounds.has(item.id)),
  });
  return { name: build.name, text };
}

export type ImportMode = 'refuse' | 'replace' | 'copy';

/**
 * Brings a whole build in with its ids.
 *
 * @throws DoorError `exists` where the build is here already and the mode does not say what to do
 */
export async function importBuild(db: Database, workshopId: string, file: BuildFile, mode: ImportMode): Promise<string> {
  const [known] = await db.select({ name: builds.name }).from(builds).where(and(eq(builds.workshopId, workshopId), eq(builds.id, file.build.id)));
  if (known && mode === 'refuse') throw new DoorError('exists', `The build ${known.name} is in this workshop already.`, { path: 'build.id', remedy: 'replace it, or bring this one in as a copy' });
  const given = mode === 'copy' ? withNewIds(file) : file;
  const taken = new Set((await allRevisions(db, workshopId)).filter(({ buildId }) => buildId !== given.build.id).flatMap(({ document }) => [...libraryIdsIn([document])]));
  await db.transaction(async (tx) => {
    await tx.delete(builds).where(and(eq(builds.workshopId, workshopId), eq(builds.id, given.build.id)));
    await tx.insert(builds).values({ workshopId, ...given.build });
    await tx.insert(revisions).values(given.revisions.map((revision) => ({ workshopId, buildId: given.build.id, ...revision })));
    if (given.runs.length > 0) await tx.insert(runs).values(given.runs.map((run) => ({ workshopId, ...run })));
    if (given.failures.length > 0) await tx.insert(failures).values(given.failures.map((failure) => ({ workshopId, ...failure })));
    if (given.prints.length > 0) await tx.insert(prints).values(given.prints.map(({ revisionId, ...sheet }) => ({ workshopId, id: sheet.id, revisionId, sheet })));
    if (given.copies.length > 0) await tx.insert(copies).values(given.copies.map(({ revisionId, ...sheet }) => ({ workshopId, id: sheet.id, revisionId, sheet })));
    for (const item of given.library) {
      const insert = tx.insert(libraryItems).values({ workshopId, ...item });
      if (taken.has(item.id)) await insert.onConflictDoNothing();
      else await insert.onConflictDoUpdate({ target: [libraryItems.workshopId, libraryItems.id], set: { data: item.data, kind: item.kind } });
    }
  });
  return given.build.id;
}

function withNewIds(file: BuildFile): BuildFile {
  const fresh = new Map([file.build, ...file.revisions, ...file.runs, ...file.failures, ...file.prints, ...file.copies].map(({ id }) => [id, randomUUID()]));
  const renamed = (id: string) => fresh.get(id) ?? id;
  const queued = new Map<string, string>();
  const copyIds = (id: string) => fresh.get(id) ?? queued.get(id) ?? queued.set(id, randomUUID()).get(id)!;
  const link = <K extends string>(key: K, id: string | undefined) => (id === undefined ? {} : ({ [key]: renamed(id) } as Record<K, string>));
  return {
    ...file,
    build: { ...file.build, id: renamed(file.build.id), name: `${file.build.name} (copy)`.slice(0, 80) },
    revisions: file.revisions.map((revision) => ({ ...revision, id: renamed(revision.id), ...link('parentId', revision.parentId) })),
    runs: file.runs.map((run) => ({ ...run, id: renamed(run.id), revisionId: renamed(run.revisionId), ...(run.copies ? { copies: run.copies.map(renamed) } : {}) })),
    prints: file.prints.map((print) => ({ ...print, id: renamed(print.id), revisionId: renamed(print.revisionId), items: print.items.map((item) => ({ ...item, copyId: copyIds(item.copyId) })) })),
    copies: file.copies.map((copy) => ({ ...copy, id: renamed(copy.id), revisionId: renamed(copy.revisionId), ...link('printId', copy.printId) })),
    failures: file.failures.map((failure) => ({ ...failure, id: renamed(failure.id), revisionId: renamed(failure.revisionId), ...link('runId', failure.runId), ...link('fixRevisionId', failure.fixRevisionId), ...(failure.ledger ? { ledger: { ...failure.ledger, ...link('copyId', failure.ledger.copyId) } } : {}) })),
  };
}

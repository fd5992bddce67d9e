import { createHash, randomUUID } from 'node:crypto';
import { and, eq, inArray } from 'drizzle-orm';
import { CalcError } from '@/core/errors';
import { type BuildFile, FILE_FORMAT, FILE_VERSION, filesThatFit, hashesIn, KEPT_TYPES, type KeptFile, libraryIdsIn, writeBuildFile } from '@/core/file/buildFile';
import type { Database } from '../client';
import { DoorError } from '../errors';
import { builds, copies, failures, files as keptFiles, libraryItems, meshes, prints, revisions, runs } from '../schema';
import { wholeBuild } from './builds';
import { listLibrary } from './library';
import { allRevisions } from './revisions';

/** The whole build as the text of a build file. */
export async function exportBuild(db: Database, workshopId: string, id: string): Promise<{ name: string; text: string }> {
  const { build, revisions: own, runs: ownRuns, failures: ownFailures, prints: ownPrints, copies: ownCopies } = await wholeBuild(db, workshopId, id);
  const used = libraryIdsIn(own.map(({ document }) => document));
  const all = await listLibrary(db, workshopId);
  const compounds = new Set(all.flatMap((item) => (item.kind === 'tyre' && used.has(item.id) ? [(item.data as { compound: string }).compound] : [])));
  const file: BuildFile = {
    format: FILE_FORMAT,
    formatVersion: FILE_VERSION,
    build,
    revisions: own.map(({ buildId: _build, version: _version, ...revision }) => revision),
    runs: ownRuns,
    failures: ownFailures,
    prints: ownPrints,
    copies: ownCopies,
    library: all.filter((item) => used.has(item.id) || compounds.has(item.id)),
    files: [],
  };
  const files = filesThatFit(await filesOf(db, workshopId, file), Buffer.byteLength(writeBuildFile(file)));
  return { name: build.name, text: writeBuildFile({ ...file, files }) };
}

/** What a build names by its hash and this workshop holds. */
async function filesOf(db: Database, workshopId: string, file: BuildFile): Promise<KeptFile[]> {
  const named = hashesIn(file);
  const [ownMeshes, ownFiles] = await Promise.all([
    named.meshes.size === 0 ? [] : db.select({ hash: meshes.hash, content: meshes.content }).from(meshes).where(and(eq(meshes.workshopId, workshopId), inArray(meshes.hash, [...named.meshes]))),
    named.files.size === 0 ? [] : db.select({ hash: keptFiles.hash, type: keptFiles.type, content: keptFiles.content }).from(keptFiles).where(and(eq(keptFiles.workshopId, workshopId), inArray(keptFiles.hash, [...named.files]))),
  ]);
  return [...ownMeshes.map((mesh) => ({ ...mesh, type: 'mesh' })), ...ownFiles].flatMap(({ hash, type, content }) => {
    const known = KEPT_TYPES.find((one) => one === type);
    return known ? [{ hash, type: known, base64: content.toString('base64') }] : [];
  });
}

const JPEG = Buffer.from([0xff, 0xd8, 0xff]);

/**
 * The bytes of a file that came with a build.
 *
 * @throws CalcError at what is not what its hash or its type says
 */
function bytesOf({ hash, type, base64 }: KeptFile, at: number): Buffer {
  const content = Buffer.from(base64, 'base64');
  if (createHash('sha256').update(content).digest('hex') !== hash) throw new CalcError(`files.${at}.base64`, 'does not hold what its hash says', 'export the build again');
  if (type === 'image/jpeg' && !content.subarray(0, JPEG.length).equals(JPEG)) throw new CalcError(`files.${at}.base64`, 'is no JPEG', 'export the build again');
  return content;
}

export type ImportMode = 'refuse' | 'replace' | 'copy';

/**
 * Brings a whole build in with its ids.
 *
 * @throws CalcError at a file that is not what its hash says; DoorError `exists` where the build is here already and the mode does not say what to do
 */
export async function importBuild(db: Database, workshopId: string, file: BuildFile, mode: ImportMode): Promise<string> {
  const contents = file.files.map((one, at) => ({ ...one, content: bytesOf(one, at) }));
  const [known] = await db.select({ name: builds.name }).from(builds).where(and(eq(builds.workshopId, workshopId), eq(builds.id, file.build.id)));
  if (known && mode === 'refuse') throw new DoorError('exists', `The build ${known.name} is in this workshop already.`, { path: 'build.id', remedy: 'replace it, or bring this one in as a copy' });
  const given = mode === 'copy' ? withNewIds(file) : file;
  const taken = new Set((await allRevisions(db, workshopId)).filter(({ buildId }) => buildId !== given.build.id).flatMap(({ document }) => [...libraryIdsIn([document])]));
  await db.transaction(async (tx) => {
    for (const { hash, type, content } of contents) {
      if (type === 'mesh') await tx.insert(meshes).values({ workshopId, hash, content }).onConflictDoNothing();
      else await tx.insert(keptFiles).values({ workshopId, hash, type, content }).onConflictDoNothing();
    }
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

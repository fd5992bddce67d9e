import { createHash, randomUUID } from 'node:crypto';
import { and, eq, inArray } from 'drizzle-orm';
import { CalcError } from '@/core/errors';
import { type BuildFile, FILE_FORMAT, FILE_VERSION, filesThatFit, KEPT_TYPES, type KeptFile, writeBuildFile } from '@/core/file/buildFile';
import { namesIn, renamedIn } from '@/core/file/references';
import type { Database } from '../client';
import { DoorError } from '../errors';
import { builds, copies, failures, files as keptFiles, libraryItems, meshes, prints, revisions, runs } from '../schema';
import { writing } from '../writing';
import { wholeBuild } from './builds';
import { present } from './deleted';
import { listLibrary } from './library';
import { allRevisions } from './revisions';

/** The whole build as the text of a build file, all of it as it stood at one moment. */
export const exportBuild = (db: Database, workshopId: string, id: string): Promise<{ name: string; text: string }> =>
  db.transaction((tx) => exported(tx as unknown as Database, workshopId, id), { isolationLevel: 'repeatable read', accessMode: 'read only' });

/** Only this workshop counts the changes of a record. */
const unversioned = <T extends { version: number }>({ version: _, ...record }: T) => record;

async function exported(db: Database, workshopId: string, id: string): Promise<{ name: string; text: string }> {
  const { build, revisions: own, runs: ownRuns, failures: ownFailures, prints: ownPrints, copies: ownCopies } = await wholeBuild(db, workshopId, id);
  const used = namesIn({ revisions: own, runs: ownRuns }, 'library');
  const all = await listLibrary(db, workshopId);
  const usedByItems = namesIn({ library: all.filter(({ id: item }) => used.has(item)) }, 'library');
  const file: BuildFile = {
    format: FILE_FORMAT,
    formatVersion: FILE_VERSION,
    build,
    revisions: own.map(({ buildId: _build, version: _version, ...revision }) => revision),
    runs: ownRuns,
    failures: ownFailures.map(unversioned),
    prints: ownPrints.map(unversioned),
    copies: ownCopies.map(unversioned),
    library: all.filter((item) => used.has(item.id) || usedByItems.has(item.id)),
    files: [],
  };
  const files = filesThatFit(await filesOf(db, workshopId, file), Buffer.byteLength(writeBuildFile(file)));
  return { name: build.name, text: writeBuildFile({ ...file, files }) };
}

/** What a build names by its hash and this workshop holds. */
async function filesOf(db: Database, workshopId: string, file: BuildFile): Promise<KeptFile[]> {
  const named = { meshes: namesIn(file, 'mesh'), files: namesIn(file, 'file') };
  const ownMeshes = named.meshes.size === 0 ? [] : await db.select({ hash: meshes.hash, content: meshes.content }).from(meshes).where(and(eq(meshes.workshopId, workshopId), inArray(meshes.hash, [...named.meshes])));
  const ownFiles = named.files.size === 0 ? [] : await db.select({ hash: keptFiles.hash, type: keptFiles.type, content: keptFiles.content }).from(keptFiles).where(and(eq(keptFiles.workshopId, workshopId), inArray(keptFiles.hash, [...named.files])));
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

/** A statement takes 65,535 parameters; records go in so many at a time. */
const ROWS_AT_ONCE = 500;
const inParts = <T>(rows: readonly T[]): T[][] => Array.from({ length: Math.ceil(rows.length / ROWS_AT_ONCE) }, (_, at) => rows.slice(at * ROWS_AT_ONCE, (at + 1) * ROWS_AT_ONCE));

export type ImportMode = 'refuse' | 'replace' | 'copy';

/**
 * Brings a whole build in with its ids.
 *
 * @throws CalcError at a file that is not what its hash says; DoorError `exists` where the build is here already and the mode does not say what to do
 */
export async function importBuild(db: Database, workshopId: string, file: BuildFile, mode: ImportMode): Promise<string> {
  const contents = file.files.map((one, at) => ({ ...one, content: bytesOf(one, at) }));
  const [known] = await db.select({ name: builds.name }).from(builds).where(and(eq(builds.workshopId, workshopId), eq(builds.id, file.build.id), present(builds)));
  if (known && mode === 'refuse') throw new DoorError('exists', `The build ${known.name} is in this workshop already.`, { path: 'build.id', remedy: 'replace it, or bring this one in as a copy' });
  const given = mode === 'copy' ? withNewIds(file) : file;
  const taken = new Set((await allRevisions(db, workshopId)).filter(({ buildId }) => buildId !== given.build.id).flatMap((revision) => [...namesIn({ revisions: [revision] }, 'library')]));
  await writing(db, async (tx) => {
    for (const { hash, type, content } of contents) {
      if (type === 'mesh') await tx.insert(meshes).values({ workshopId, hash, content }).onConflictDoNothing();
      else await tx.insert(keptFiles).values({ workshopId, hash, type, content }).onConflictDoNothing();
    }
    await tx.delete(builds).where(and(eq(builds.workshopId, workshopId), eq(builds.id, given.build.id)));
    await tx.insert(builds).values({ workshopId, ...given.build });
    for (const some of inParts(given.revisions)) await tx.insert(revisions).values(some.map((revision) => ({ workshopId, buildId: given.build.id, ...revision })));
    for (const some of inParts(given.runs)) await tx.insert(runs).values(some.map((run) => ({ workshopId, ...run })));
    for (const some of inParts(given.failures)) await tx.insert(failures).values(some.map((failure) => ({ workshopId, ...failure })));
    for (const some of inParts(given.prints)) await tx.insert(prints).values(some.map(({ revisionId, ...sheet }) => ({ workshopId, id: sheet.id, revisionId, sheet })));
    for (const some of inParts(given.copies)) await tx.insert(copies).values(some.map(({ revisionId, ...sheet }) => ({ workshopId, id: sheet.id, revisionId, sheet })));
    for (const item of given.library) {
      const insert = tx.insert(libraryItems).values({ workshopId, ...item });
      if (taken.has(item.id)) await insert.onConflictDoUpdate({ target: [libraryItems.workshopId, libraryItems.id], set: { deletedAt: null } });
      else await insert.onConflictDoUpdate({ target: [libraryItems.workshopId, libraryItems.id], set: { data: item.data, kind: item.kind, deletedAt: null } });
    }
  });
  return given.build.id;
}

/** The same build under ids of its own: what its records are called and how they name each other; the library and the files keep theirs. */
function withNewIds(file: BuildFile): BuildFile {
  const fresh = new Map<string, string>();
  const renamed = (id: string) => fresh.get(id) ?? fresh.set(id, randomUUID()).get(id)!;
  const own = <T extends { id: string }>(records: T[]) => records.map((record) => ({ ...record, id: renamed(record.id) }));
  const { build, revisions: ownRevisions, runs: ownRuns, failures: ownFailures, prints: ownPrints, copies: ownCopies } = renamedIn(file, (name, names) => (names === 'library' || names === 'mesh' || names === 'file' ? name : renamed(name)));
  return {
    ...file,
    build: { ...build, id: renamed(build.id), name: `${build.name} (copy)`.slice(0, 80) },
    revisions: own(ownRevisions), runs: own(ownRuns), failures: own(ownFailures), prints: own(ownPrints), copies: own(ownCopies),
  };
}

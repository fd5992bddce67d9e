import { createHash, randomUUID } from 'node:crypto';
import { setImmediate as breath } from 'node:timers/promises';
import { and, eq } from 'drizzle-orm';
import { refusal } from '@/core/base/errors';
import type { BuildFile, KeptFile } from '@/core/car/file/buildFile';
import { namesIn, renamedIn } from '@/core/car/file/references';
import type { Origin } from '@/core/car/records/records';
import type { Database } from '../client';
import { DoorError } from '../errors';
import {
  builds,
  copies,
  failures,
  files as keptFiles,
  libraryItems,
  meshes,
  prints,
  revisions,
  runs,
} from '../schema';
import { writing } from '../writing';
import { present } from './deleted';
import { allRevisions } from './revisions';

declare module '@/core/base/errors' {
  interface RefusalFacts {
    'import.hash': Record<never, never>;
    'import.jpeg': Record<never, never>;
  }
}

/** Where the bytes of a file come from that came with a build. */
export type ContentOf = (file: KeptFile, at: number) => Promise<Buffer>;

/** The bytes stand in the file itself. */
export const contentInText: ContentOf = async ({ base64 }) => Buffer.from(base64!, 'base64');

const JPEG = Buffer.from([0xff, 0xd8, 0xff]);

/** @throws CalcError at what is not what its hash or its type says */
function refuseOther({ hash, type }: KeptFile, at: number, content: Buffer): void {
  if (createHash('sha256').update(content).digest('hex') !== hash)
    throw refusal(`files.${at}`, 'import.hash');
  if (type === 'image/jpeg' && !content.subarray(0, JPEG.length).equals(JPEG))
    throw refusal(`files.${at}`, 'import.jpeg');
}

/** A statement takes 65,535 parameters, and is written out at one go; records go in so many at a time. */
const [ROWS_AT_ONCE, RUNS_AT_ONCE] = [500, 50];

async function inParts<T>(
  rows: readonly T[],
  atOnce: number,
  insert: (some: T[]) => Promise<unknown>,
): Promise<void> {
  for (let from = 0; from < rows.length; from += atOnce) {
    await insert(rows.slice(from, from + atOnce));
    await breath();
  }
}

export type ImportMode = 'refuse' | 'replace' | 'copy';

/**
 * Brings a whole build in with its ids.
 *
 * @param origin of a copy, where it came from
 * @throws CalcError at a file that is not what its hash says; DoorError `exists` where the build is here
 * already and the mode does not say what to do
 */
export async function importBuild(
  db: Database,
  workshopId: string,
  file: BuildFile,
  mode: ImportMode,
  contentOf: ContentOf = contentInText,
  origin: Origin = { name: file.build.name, at: new Date().toISOString() },
): Promise<string> {
  const [known] = await db
    .select({ name: builds.name })
    .from(builds)
    .where(and(eq(builds.workshopId, workshopId), eq(builds.id, file.build.id), present(builds)));
  if (known && mode === 'refuse')
    throw new DoorError('exists', `The build ${known.name} is in this workshop already.`, {
      path: 'build.id',
      remedy: 'replace it, or bring this one in as a copy',
    });
  const given = mode === 'copy' ? withNewIds(file, origin) : file;
  const taken = new Set(
    (await allRevisions(db, workshopId))
      .filter(({ buildId }) => buildId !== given.build.id)
      .flatMap((revision) => [...namesIn({ revisions: [revision] }, 'library')]),
  );
  await writing(db, async (tx) => {
    for (const [at, one] of file.files.entries()) {
      const content = await contentOf(one, at);
      refuseOther(one, at, content);
      const { hash, type } = one;
      if (type === 'mesh')
        await tx.insert(meshes).values({ workshopId, hash, content }).onConflictDoNothing();
      else await tx.insert(keptFiles).values({ workshopId, hash, type, content }).onConflictDoNothing();
    }
    await tx.delete(builds).where(and(eq(builds.workshopId, workshopId), eq(builds.id, given.build.id)));
    await tx.insert(builds).values({ workshopId, ...given.build });
    await inParts(given.revisions, RUNS_AT_ONCE, (some) =>
      tx
        .insert(revisions)
        .values(some.map((revision) => ({ workshopId, buildId: given.build.id, ...revision }))),
    );
    await inParts(given.runs, RUNS_AT_ONCE, (some) =>
      tx.insert(runs).values(some.map((run) => ({ workshopId, ...run }))),
    );
    await inParts(given.failures, ROWS_AT_ONCE, (some) =>
      tx.insert(failures).values(some.map((failure) => ({ workshopId, ...failure }))),
    );
    await inParts(given.prints, ROWS_AT_ONCE, (some) =>
      tx
        .insert(prints)
        .values(some.map(({ revisionId, ...sheet }) => ({ workshopId, id: sheet.id, revisionId, sheet }))),
    );
    await inParts(given.copies, ROWS_AT_ONCE, (some) =>
      tx
        .insert(copies)
        .values(some.map(({ revisionId, ...sheet }) => ({ workshopId, id: sheet.id, revisionId, sheet }))),
    );
    for (const item of given.library) {
      const insert = tx.insert(libraryItems).values({ workshopId, ...item });
      if (taken.has(item.id))
        await insert.onConflictDoUpdate({
          target: [libraryItems.workshopId, libraryItems.id],
          set: { deletedAt: null },
        });
      else
        await insert.onConflictDoUpdate({
          target: [libraryItems.workshopId, libraryItems.id],
          set: { data: item.data, kind: item.kind, deletedAt: null },
        });
    }
  });
  return given.build.id;
}

/** The same build under ids of its own: what its records are called and how they name each other; the library and the files keep theirs. */
function withNewIds(file: BuildFile, origin: Origin): BuildFile {
  const fresh = new Map<string, string>();
  const renamed = (id: string) => fresh.get(id) ?? fresh.set(id, randomUUID()).get(id)!;
  const own = <T extends { id: string }>(records: T[]) =>
    records.map((record) => ({ ...record, id: renamed(record.id) }));
  const {
    build,
    revisions: ownRevisions,
    runs: ownRuns,
    failures: ownFailures,
    prints: ownPrints,
    copies: ownCopies,
  } = renamedIn(file, (name, names) =>
    names === 'library' || names === 'mesh' || names === 'file' ? name : renamed(name),
  );
  return {
    ...file,
    build: { ...build, id: renamed(build.id), name: `${build.name} (copy)`.slice(0, 80), origin },
    revisions: own(ownRevisions),
    runs: own(ownRuns),
    failures: own(ownFailures),
    prints: own(ownPrints),
    copies: own(ownCopies),
  };
}

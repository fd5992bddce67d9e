import { setImmediate as breath } from 'node:timers/promises';
import { and, eq, inArray, sql } from 'drizzle-orm';
import {
  FILE_LISTS,
  FILE_ORDER,
  type FiledRun,
  type FileList,
  KEPT_TYPES,
  type NamedFile,
} from '@/core/car/file/buildFile';
import { LARGEST_ARCHIVE, LARGEST_FILE, LARGEST_TEXT } from '@/core/car/file/largestFile';
import { namesIn, type Named } from '@/core/car/file/references';
import { indentedRecord, recordLine } from '@/core/car/file/writeBuildFile';
import type { BuildRecord } from '@/core/car/records/records';
import { usedItems } from '@/core/car/sharing/sharedBuild';
import type { Database } from '../client';
import { DoorError } from '../errors';
import { files, meshes } from '../schema';
import { buildRecord } from './builds';
import { failuresOfRevisions } from './failures';
import { listLibrary } from './library';
import { printsOfRevisions } from './prints';
import { listRevisions } from './revisions';
import { runsInParts } from './runs';

/** A file that a build names and this workshop holds. */
export interface HeldFile extends NamedFile {
  bytes: number;
}

/** Left for keys and line ends around a thing in the text, bytes. */
const AROUND = 256;

type RecordList = Exclude<FileList, 'files'>;
const RECORD_LISTS = FILE_LISTS.filter((name) => name !== 'files');

/** A whole build as it stood at one moment, ready to be sent. */
export interface ExportedBuild {
  build: BuildRecord;
  /** Its records in the file's order, each on a line. */
  lines: Readonly<Record<RecordList, readonly Buffer[]>>;
  files: HeldFile[];
  /** What it names goes into the text; else it lies beside it in an archive. */
  fits: boolean;
}

/** The whole build; what it names by a hash is read when it is sent, as it never changes. */
export const exportBuild = (db: Database, workshopId: string, id: string): Promise<ExportedBuild> =>
  db.transaction((tx) => exportedIn(tx as unknown as Database, workshopId, id), {
    isolationLevel: 'repeatable read',
    accessMode: 'read only',
  });

/** The same within a transaction that sees one moment. */
export async function exportedIn(db: Database, workshopId: string, id: string): Promise<ExportedBuild> {
  const build = await buildRecord(db, workshopId, id);
  const revisions = await listRevisions(db, workshopId, id);
  const ids = revisions.map((revision) => revision.id);
  const { prints, copies } = await printsOfRevisions(db, workshopId, ids);
  const named = new Names();
  const lists: Record<RecordList, Iterable<object> | AsyncIterable<object>> = {
    revisions: named.of(
      'revisions',
      revisions
        .sort(FILE_ORDER.revisions)
        .map(({ buildId: _build, version: _version, ...revision }) => revision),
    ),
    runs: named.of('runs', filedRuns(db, workshopId, ids)),
    failures: named.of(
      'failures',
      (await failuresOfRevisions(db, workshopId, ids)).map(unversioned).sort(FILE_ORDER.failures),
    ),
    prints: prints.map(unversioned).sort(FILE_ORDER.prints),
    copies: copies.map(unversioned).sort(FILE_ORDER.copies),
    // asked for when all that names them was written
    library: later(async () =>
      usedItems(await listLibrary(db, workshopId), named.all('library')).sort(FILE_ORDER.library),
    ),
  };
  const lines: Record<RecordList, Buffer[]> = {
    revisions: [],
    runs: [],
    failures: [],
    prints: [],
    copies: [],
    library: [],
  };
  let [lineBytes, indentedBytes] = [0, 0];
  for (const name of RECORD_LISTS) {
    for await (const record of lists[name]) {
      const line = Buffer.from(recordLine(record));
      lines[name].push(line);
      lineBytes += line.length;
      if (indentedBytes <= LARGEST_FILE)
        indentedBytes += Buffer.byteLength(indentedRecord(line.toString())) + AROUND;
      await breath();
    }
  }
  const files = (await heldFiles(db, workshopId, named)).sort(FILE_ORDER.files);
  refuseTooLarge(lineBytes, lineBytes + files.reduce((sum, { bytes }) => sum + bytes, 0));
  return {
    build,
    lines,
    files,
    fits: indentedBytes + files.reduce((sum, { bytes }) => sum + inText(bytes), 0) <= LARGEST_FILE,
  };
}

/** What could not be brought in again is not handed out. */
function refuseTooLarge(textBytes: number, allBytes: number): void {
  if (textBytes > LARGEST_TEXT)
    throw new DoorError(
      'tooLarge',
      `The build’s records take more than the ${LARGEST_TEXT / 1024 / 1024} MB of an archive’s text.`,
      { remedy: 'delete runs that are not needed any more' },
    );
  if (allBytes > LARGEST_ARCHIVE)
    throw new DoorError(
      'tooLarge',
      `The build takes more than the ${LARGEST_ARCHIVE / 1024 / 1024} MB of an archive.`,
      { remedy: 'delete tracks and photographs that are not needed any more' },
    );
}

/** In base64, bytes. */
const inText = (bytes: number) => Math.ceil(bytes / 3) * 4 + AROUND;

/** Only this workshop counts the changes of a record. */
const unversioned = <T extends { version: number }>({ version: _, ...record }: T) => record;

async function* later<T>(list: () => Promise<readonly T[]>): AsyncGenerator<T> {
  yield* await list();
}

/** What the records name, noted while they are written. */
class Names {
  private readonly found = new Map<Named, Set<string>>();

  async *of<T extends object>(list: string, records: Iterable<T> | AsyncIterable<T>): AsyncGenerator<T> {
    for await (const record of records) {
      for (const kind of ['library', 'mesh', 'file'] as const)
        for (const name of namesIn({ [list]: [record] }, kind)) this.all(kind).add(name);
      yield record;
    }
  }

  all(kind: Named): Set<string> {
    return this.found.get(kind) ?? this.found.set(kind, new Set()).get(kind)!;
  }
}

/** The runs in the file's order, a document only with the first that was driven with it. */
async function* filedRuns(db: Database, workshopId: string, revisionIds: string[]): AsyncGenerator<FiledRun> {
  const holders = new Map<string, string>();
  for await (const part of runsInParts(
    db,
    workshopId,
    revisionIds,
    FILE_ORDER.runs,
    (mark) => !holders.has(mark),
  )) {
    for (const { mark, document, run } of part) {
      const documentOf = holders.get(mark);
      if (documentOf === undefined) holders.set(mark, run.id);
      yield documentOf === undefined ? { ...run, document: document! } : { ...run, documentOf };
    }
  }
}

/** What a build names by its hash and this workshop holds. */
async function heldFiles(db: Database, workshopId: string, named: Names): Promise<HeldFile[]> {
  const sized = <T extends typeof meshes | typeof files>(table: T) =>
    sql<number>`octet_length(${table.content})`;
  const ownMeshes = await db
    .select({ hash: meshes.hash, bytes: sized(meshes) })
    .from(meshes)
    .where(and(eq(meshes.workshopId, workshopId), inArray(meshes.hash, [...named.all('mesh')])));
  const ownFiles = await db
    .select({ hash: files.hash, type: files.type, bytes: sized(files) })
    .from(files)
    .where(and(eq(files.workshopId, workshopId), inArray(files.hash, [...named.all('file')])));
  return [...ownMeshes.map((mesh) => ({ ...mesh, type: 'mesh' })), ...ownFiles].flatMap(
    ({ type, ...held }) => {
      const known = KEPT_TYPES.find((one) => one === type);
      return known ? [{ ...held, type: known }] : [];
    },
  );
}

/** What one of its files holds. */
export async function heldContent(
  db: Database,
  workshopId: string,
  { hash, type }: NamedFile,
): Promise<Buffer> {
  const table = type === 'mesh' ? meshes : files;
  const [found] = await db
    .select({ content: table.content })
    .from(table)
    .where(and(eq(table.workshopId, workshopId), eq(table.hash, hash)));
  if (!found)
    throw new DoorError('notFound', 'A file that the build names was removed meanwhile.', {
      remedy: 'export it again',
    });
  return found.content;
}

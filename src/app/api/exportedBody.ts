import { Readable } from 'node:stream';
import { type KeptFile, type NamedFile, TEXT_NAME } from '@/core/car/file/buildFile';
import { buildFilePieces, indentedRecord, recordLine } from '@/core/car/file/writeBuildFile';
import type { Database } from '@/db/client';
import { type ExportedBuild, heldContent } from '@/db/queries/exportBuild';
import { writeArchive } from './archive';

type ContentOf = (file: NamedFile) => Promise<Buffer>;

/**
 * An exported build as it is sent: one text while it fits, else an archive of it and its files. Each file is
 * read when its turn has come.
 */
export function exportedBody(db: Database, workshopId: string, exported: ExportedBuild): Readable {
  const contentOf: ContentOf = (file) => heldContent(db, workshopId, file);
  return exported.fits
    ? Readable.from(written(exported, withContent(exported, contentOf), indentedRecord))
    : writeArchive(
        [{ name: TEXT_NAME, text: () => Readable.from(archivedText(exported)) }],
        exported.files,
        contentOf,
      );
}

/** The text of a build whose files lie beside it. */
export const archivedText = (exported: ExportedBuild): AsyncGenerator<Buffer> =>
  written(exported, named(exported), (line) => line);

/** The text with its files; in an archive a record stands on one line, as there are many. */
async function* written(
  { build, lines }: ExportedBuild,
  files: AsyncIterable<KeptFile>,
  write: (line: string) => string,
): AsyncGenerator<Buffer> {
  const { revisions, runs, failures, prints, copies, library } = lines;
  const lists = {
    revisions: texts(revisions),
    runs: texts(runs),
    failures: texts(failures),
    prints: texts(prints),
    copies: texts(copies),
    library: texts(library),
    files: linesOf(files),
  };
  for await (const piece of buildFilePieces(build, lists, write)) yield Buffer.from(piece);
}

function* texts(lines: readonly Buffer[]): Generator<string> {
  for (const line of lines) yield line.toString('utf8');
}

async function* linesOf(files: AsyncIterable<KeptFile>): AsyncGenerator<string> {
  for await (const file of files) yield recordLine(file);
}

async function* withContent({ files }: ExportedBuild, contentOf: ContentOf): AsyncGenerator<KeptFile> {
  for (const { hash, type } of files)
    yield { hash, type, base64: (await contentOf({ hash, type })).toString('base64') };
}

async function* named({ files }: ExportedBuild): AsyncGenerator<KeptFile> {
  for (const { hash, type } of files) yield { hash, type };
}

import { Readable } from 'node:stream';
import { type Entry, openPromise, type ZipFile as OpenArchive } from 'yauzl';
import { ZipFile } from 'yazl';
import { FILES_FOLDER, type NamedFile } from '@/core/car/file/buildFile';
import { LARGEST_ARCHIVE, LARGEST_IN_ARCHIVE, LARGEST_TEXT } from '@/core/car/file/largestFile';
import { DoorError } from '@/db/errors';

/** An archive's clock, the same everywhere: the same build gives the same bytes. */
const WRITTEN_AT = { mtime: new Date(1980, 0, 1), forceDosTimestamp: true } as const;
const MB = 1024 * 1024;

/** A text of an archive, asked for when its turn has come. */
export interface ArchivedText {
  readonly name: string;
  readonly text: () => Readable;
}

/** Texts and what they name beside them, as one archive; each is asked for when its turn has come. */
export function writeArchive(
  texts: readonly ArchivedText[],
  files: readonly NamedFile[],
  contentOf: (file: NamedFile) => Promise<Buffer>,
): Readable {
  const archive = new ZipFile();
  const out = archive.outputStream as Readable;
  archive.on('error', (error: Error) => out.destroy(error));
  for (const { name, text } of texts)
    archive.addReadStreamLazy(name, WRITTEN_AT, (open) => open(null, text()));
  for (const file of files) {
    archive.addReadStreamLazy(
      `${FILES_FOLDER}/${file.hash}`,
      { ...WRITTEN_AT, compress: file.type !== 'image/jpeg' },
      (open) => {
        contentOf(file).then(
          (content) => open(null, Readable.from([content])),
          (error: Error) => out.destroy(error),
        );
      },
    );
  }
  archive.end();
  return out;
}

/** What was brought as an archive: texts by their names, and what lies beside them. */
export interface BroughtArchive {
  textOf(name: string): Promise<string>;
  contentOf(file: NamedFile): Promise<Buffer>;
}

/** How much an archive may hold. */
export interface ArchiveLimits {
  readonly bytes: number;
  readonly files: number;
  /** What an archive is of, for the remedy. */
  readonly holds: string;
}

export const OF_A_BUILD: ArchiveLimits = {
  bytes: LARGEST_ARCHIVE,
  files: 20_100,
  holds: 'an archive holds one build only',
};

/**
 * Opens an archive on the disk while it is used; nothing in it is unpacked before it is asked for.
 *
 * @throws DoorError `malformed` at what is no archive or is damaged, `tooLarge` at what unpacks to too much
 */
export async function withArchive<T>(
  path: string,
  limits: ArchiveLimits,
  work: (archive: BroughtArchive) => Promise<T>,
): Promise<T> {
  const open = await openPromise(path, { autoClose: false, lazyEntries: true }).catch(noArchive);
  try {
    const entries = await entriesOf(open, limits);
    const named = (name: string) => entries.get(name) ?? refuse(`The archive holds no ${name}.`);
    return await work({
      textOf: async (name) => (await unpacked(open, named(name), LARGEST_TEXT, limits)).toString('utf8'),
      contentOf: ({ hash }) => unpacked(open, named(`${FILES_FOLDER}/${hash}`), LARGEST_IN_ARCHIVE, limits),
    });
  } finally {
    open.close();
  }
}

const refuse = (message: string): never => {
  throw new DoorError('malformed', message, { path: 'content', remedy: 'export it again' });
};
const noArchive = () => refuse('The file is no archive that can be read.');

async function entriesOf(open: OpenArchive, limits: ArchiveLimits): Promise<Map<string, Entry>> {
  if (open.entryCount > limits.files)
    throw new DoorError('tooLarge', `The archive holds more than ${limits.files} files.`, {
      path: 'content',
      remedy: limits.holds,
    });
  const entries = new Map<string, Entry>();
  let bytes = 0;
  try {
    for await (const entry of open.eachEntry()) {
      bytes += entry.uncompressedSize;
      entries.set(entry.fileName, entry);
    }
  } catch {
    noArchive();
  }
  if (bytes > limits.bytes) throw tooLarge('The archive', limits.bytes, limits);
  return entries;
}

const tooLarge = (what: string, most: number, { holds }: ArchiveLimits) =>
  new DoorError('tooLarge', `${what} unpacks to more than ${most / MB} MB.`, {
    path: 'content',
    remedy: holds,
  });

/** No more comes out of an entry than it says, else its stream fails. */
async function unpacked(
  open: OpenArchive,
  entry: Entry,
  most: number,
  limits: ArchiveLimits,
): Promise<Buffer> {
  if (entry.uncompressedSize > most) throw tooLarge(entry.fileName, most, limits);
  try {
    const chunks: Buffer[] = [];
    for await (const chunk of await open.openReadStreamPromise(entry)) chunks.push(chunk as Buffer);
    return Buffer.concat(chunks);
  } catch {
    return refuse(`${entry.fileName} in the archive is damaged.`);
  }
}

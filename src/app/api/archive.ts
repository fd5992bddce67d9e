import { Readable } from 'node:stream';
import { type Entry, openPromise, type ZipFile as OpenArchive } from 'yauzl';
import { ZipFile } from 'yazl';
import { FILES_FOLDER, type NamedFile, TEXT_NAME } from '@/core/car/file/buildFile';
import { LARGEST_ARCHIVE, LARGEST_IN_ARCHIVE, LARGEST_TEXT } from '@/core/car/file/largestFile';
import { DoorError } from '@/db/errors';

/** An archive's clock, the same everywhere: the same build gives the same bytes. */
const WRITTEN_AT = { mtime: new Date(1980, 0, 1), forceDosTimestamp: true } as const;
const MB = 1024 * 1024;

/** A text and what it names beside it, as one archive; each file is asked for when its turn has come. */
export function writeArchive(
  text: AsyncIterable<Uint8Array>,
  files: readonly NamedFile[],
  contentOf: (file: NamedFile) => Promise<Buffer>,
): Readable {
  const archive = new ZipFile();
  const out = archive.outputStream as Readable;
  archive.on('error', (error: Error) => out.destroy(error));
  archive.addReadStreamLazy(TEXT_NAME, WRITTEN_AT, (open) => open(null, Readable.from(text)));
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

/** What was brought as an archive: its text, and what lies beside it. */
export interface BroughtArchive {
  readonly text: string;
  contentOf(file: NamedFile): Promise<Buffer>;
}

const MOST_ENTRIES = 20_100;

/**
 * Opens an archive on the disk while it is used; nothing in it is unpacked before it is asked for.
 *
 * @throws DoorError `malformed` at what is no archive of a build, `tooLarge` at what unpacks to too much
 */
export async function withArchive<T>(
  path: string,
  work: (archive: BroughtArchive) => Promise<T>,
): Promise<T> {
  const open = await openPromise(path, { autoClose: false, lazyEntries: true }).catch(noArchive);
  try {
    const entries = await entriesOf(open);
    const named = (name: string) => entries.get(name) ?? refuse(`The archive holds no ${name}.`);
    const text = await unpacked(open, named(TEXT_NAME), LARGEST_TEXT);
    return await work({
      text: text.toString('utf8'),
      contentOf: ({ hash }) => unpacked(open, named(`${FILES_FOLDER}/${hash}`), LARGEST_IN_ARCHIVE),
    });
  } finally {
    open.close();
  }
}

const refuse = (message: string): never => {
  throw new DoorError('malformed', message, { path: 'content', remedy: 'export the build again' });
};
const noArchive = () => refuse('The file is no archive that can be read.');

async function entriesOf(open: OpenArchive): Promise<Map<string, Entry>> {
  if (open.entryCount > MOST_ENTRIES)
    throw new DoorError('tooLarge', `The archive holds more than ${MOST_ENTRIES} files.`, {
      path: 'content',
      remedy: 'an archive holds one build only',
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
  if (bytes > LARGEST_ARCHIVE) throw tooLarge('The archive', LARGEST_ARCHIVE);
  return entries;
}

const tooLarge = (what: string, most: number) =>
  new DoorError('tooLarge', `${what} unpacks to more than ${most / MB} MB.`, {
    path: 'content',
    remedy: 'an archive holds one build only',
  });

/** No more comes out of an entry than it says, else its stream fails. */
async function unpacked(open: OpenArchive, entry: Entry, most: number): Promise<Buffer> {
  if (entry.uncompressedSize > most) throw tooLarge(entry.fileName, most);
  try {
    const chunks: Buffer[] = [];
    for await (const chunk of await open.openReadStreamPromise(entry)) chunks.push(chunk as Buffer);
    return Buffer.concat(chunks);
  } catch {
    return refuse(`${entry.fileName} in the archive is damaged.`);
  }
}

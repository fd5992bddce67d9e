import { createHash } from 'node:crypto';
import { LRUCache } from 'lru-cache';
import sharp from 'sharp';
import type { NamedFile } from '@/core/car/file/buildFile';
import type { Database } from '@/db/client';
import { DoorError } from '@/db/errors';
import { fileContent } from '@/db/queries/files';
import type { OpenShare } from '@/db/queries/shares';
import { inThread } from '../api/threads';

export interface ShownFile {
  type: Exclude<NamedFile['type'], 'mesh'>;
  content: Buffer;
  /** SHA-256 of what is shown, which is not what is kept. */
  hash: string;
}

const [PICTURE, TRACK] = ['image/jpeg', 'text/plain; charset=utf-8'] as const;
const [MOST_BYTES, TRACK_MS, QUALITY] = [64_000_000, 20_000, 85];
const kept = new LRUCache<string, ShownFile>({
  maxSize: MOST_BYTES,
  sizeCalculation: ({ content }) => content.length,
});

/**
 * A photograph or a track as a link shows it: the one without what a camera wrote into it, the other without its ends and its place.
 *
 * @throws DoorError `notFound` where it is not there, or where nothing is left of a track
 */
export async function shownFile(db: Database, { workshopId }: OpenShare, hash: string): Promise<ShownFile> {
  const key = `${workshopId} ${hash}`;
  const known = kept.get(key);
  if (known) return known;
  const { type, content } = await fileContent(db, workshopId, hash);
  const shown: Pick<ShownFile, 'type' | 'content'> =
    type === PICTURE
      ? { type: PICTURE, content: await pictureAlone(content) }
      : { type: TRACK, content: await wayAlone(content) };
  const found = { ...shown, hash: createHash('sha256').update(shown.content).digest('hex') };
  kept.set(key, found);
  return found;
}

/** Drawn anew and turned upright: no position, no moment, no name of a camera. */
const pictureAlone = (content: Buffer): Promise<Buffer> =>
  sharp(content).rotate().jpeg({ quality: QUALITY }).toBuffer();

async function wayAlone(content: Buffer): Promise<Buffer> {
  const text = await inThread('trackToShow', { text: content.toString('utf8') }, TRACK_MS).catch(
    () => undefined,
  );
  if (text === undefined)
    throw new DoorError('notFound', 'Nothing of this track can be shown.', { path: 'hash' });
  return Buffer.from(text);
}

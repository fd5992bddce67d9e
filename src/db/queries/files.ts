import { createHash } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import sharp from 'sharp';
import type { Database } from '../client';
import { DoorError } from '../errors';
import { files } from '../schema';

export const LARGEST_PHOTO = 8 * 1024 * 1024;
export const LARGEST_TRACK = 50 * 1024 * 1024;
/** What a camera makes: a drawing with a program in it is no photograph. */
const PHOTOGRAPHS: ReadonlySet<string | undefined> = new Set(['jpeg', 'png', 'webp', 'heif']);
const [LONGEST_SIDE, QUALITY, MOST_PIXELS] = [1600, 80, 100_000_000];

/** Keeps a file under the SHA-256 of what it holds; the same again changes nothing. */
async function keep(db: Database, workshopId: string, type: string, content: Buffer): Promise<string> {
  const hash = createHash('sha256').update(content).digest('hex');
  await db.insert(files).values({ workshopId, hash, type, content }).onConflictDoNothing();
  return hash;
}

/** A photograph made as small as a page needs it, turned upright, without what the camera wrote into it. */
export async function keepPhoto(db: Database, workshopId: string, content: Buffer): Promise<string> {
  const small = await madeSmall(content).catch(() => undefined);
  if (!small)
    throw new DoorError('malformed', 'The file is no photograph that can be read here.', {
      path: 'content',
      remedy: 'take a JPEG, PNG or WebP',
    });
  return keep(db, workshopId, 'image/jpeg', small);
}

async function madeSmall(content: Buffer): Promise<Buffer | undefined> {
  const picture = sharp(content, { limitInputPixels: MOST_PIXELS, failOn: 'error' });
  if (!PHOTOGRAPHS.has((await picture.metadata()).format)) return undefined;
  return picture
    .rotate()
    .resize({ width: LONGEST_SIDE, height: LONGEST_SIDE, fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: QUALITY })
    .toBuffer();
}

export async function keepTrack(db: Database, workshopId: string, content: Buffer): Promise<string> {
  if (content.length === 0)
    throw new DoorError('malformed', 'The file is empty.', {
      path: 'content',
      remedy: 'export the track again',
    });
  return keep(db, workshopId, 'text/plain; charset=utf-8', content);
}

export async function fileContent(
  db: Database,
  workshopId: string,
  hash: string,
): Promise<{ type: string; content: Buffer }> {
  const [found] = await db
    .select({ type: files.type, content: files.content })
    .from(files)
    .where(and(eq(files.workshopId, workshopId), eq(files.hash, hash)));
  if (!found)
    throw new DoorError('notFound', 'This workshop does not hold that file.', {
      path: 'hash',
      remedy: 'add it again',
    });
  return found;
}

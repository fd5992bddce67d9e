import { createHash } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import type { Database } from '../client';
import { DoorError } from '../errors';
import { meshes } from '../schema';

export const LARGEST_MESH = 50 * 1024 * 1024;

/** Keeps a mesh's file under the hash of what it holds; the same again changes nothing. */
export async function keepMesh(db: Database, workshopId: string, hash: string, content: Buffer): Promise<void> {
  if (content.length === 0) throw new DoorError('malformed', 'The file is empty.', { path: 'content', remedy: 'export the part again' });
  if (createHash('sha256').update(content).digest('hex') !== hash) throw new DoorError('malformed', 'The file is not the one that its hash names.', { path: 'hash', remedy: 'send it again' });
  await db.insert(meshes).values({ workshopId, hash, content }).onConflictDoNothing();
}

export async function meshContent(db: Database, workshopId: string, hash: string): Promise<Buffer> {
  const [found] = await db.select({ content: meshes.content }).from(meshes).where(and(eq(meshes.workshopId, workshopId), eq(meshes.hash, hash)));
  if (!found) throw new DoorError('notFound', 'This workshop does not hold that mesh.', { path: 'hash', remedy: 'drop the file on the part again' });
  return found.content;
}

import { createHash } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import type { Database } from '../client';
import { DoorError } from '../errors';
import { meshes } from '../schema';

export const LARGEST_MESH = 50 * 1024 * 1024;

/** Keeps a mesh's file under the SHA-256 of what it holds; the same again changes nothing. */
export async function keepMesh(db: Database, workshopId: string, content: Buffer): Promise<string> {
  if (content.length === 0)
    throw new DoorError('malformed', 'The file is empty.', {
      path: 'content',
      remedy: 'export the part again',
    });
  const hash = createHash('sha256').update(content).digest('hex');
  await db.insert(meshes).values({ workshopId, hash, content }).onConflictDoNothing();
  return hash;
}

export async function meshContent(db: Database, workshopId: string, hash: string): Promise<Buffer> {
  const [found] = await db
    .select({ content: meshes.content })
    .from(meshes)
    .where(and(eq(meshes.workshopId, workshopId), eq(meshes.hash, hash)));
  if (!found)
    throw new DoorError('notFound', 'This workshop does not hold that mesh.', {
      path: 'hash',
      remedy: 'drop the file on the part again',
    });
  return found.content;
}

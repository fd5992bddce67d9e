import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { DoorError } from '@/db/errors';
import { bodyChunks } from './body';

/**
 * Lays what is sent on the disk while it is used, so that it never stands in memory as a whole.
 *
 * @param mostBytes over which it is refused
 */
export async function withUpload<T>(
  request: Request,
  mostBytes: number,
  work: (path: string) => Promise<T>,
): Promise<T> {
  const folder = await mkdtemp(join(tmpdir(), 'lean-badger-'));
  const path = join(folder, 'upload');
  try {
    await pipeline(bodyChunks(request, mostBytes), createWriteStream(path, { mode: 0o600 })).catch(
      refuseFullDisk,
    );
    return await work(path);
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

function refuseFullDisk(error: Error & { code?: string }): never {
  if (error.code === 'ENOSPC')
    throw new DoorError('full', 'The disk of the server is full.', {
      remedy: 'make room on the disk and send it again',
    });
  throw error;
}

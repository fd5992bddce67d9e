import { type Remote, wrap } from 'comlink';
import type { PartsWorker } from '@/workers/parts.worker';

let worker: Remote<PartsWorker> | undefined;

/** The one worker of this page that reads and solves meshes. */
export function partsWorker(): Remote<PartsWorker> {
  worker ??= wrap<PartsWorker>(
    new Worker(new URL('../../workers/parts.worker.ts', import.meta.url), { type: 'module' }),
  );
  return worker;
}

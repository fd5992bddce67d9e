import { type Remote, wrap } from 'comlink';
import type { LearnWorker } from '@/workers/learn.worker';

let worker: Remote<LearnWorker> | undefined;

/** The one worker of this page that works out what a diagnosis needs. */
export function learnWorker(): Remote<LearnWorker> {
  worker ??= wrap<LearnWorker>(
    new Worker(new URL('../../workers/learn.worker.ts', import.meta.url), { type: 'module' }),
  );
  return worker;
}

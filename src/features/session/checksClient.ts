import { type Remote, wrap } from 'comlink';
import type { ChecksWorker } from '@/workers/checks.worker';

let worker: Remote<ChecksWorker> | undefined;

/** The one worker of this page that evaluates checks over all surfaces, remedies included. */
export function checksWorker(): Remote<ChecksWorker> {
  worker ??= wrap<ChecksWorker>(
    new Worker(new URL('../../workers/checks.worker.ts', import.meta.url), { type: 'module' }),
  );
  return worker;
}

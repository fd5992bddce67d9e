import { type Remote, wrap } from 'comlink';
import type { PrintWorker } from '@/workers/print.worker';

let worker: Remote<PrintWorker> | undefined;

/** The one worker of this page that solves hole patterns. */
export function printWorker(): Remote<PrintWorker> {
  worker ??= wrap<PrintWorker>(
    new Worker(new URL('../../workers/print.worker.ts', import.meta.url), { type: 'module' }),
  );
  return worker;
}

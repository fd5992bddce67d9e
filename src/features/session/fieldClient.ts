import { type Remote, wrap } from 'comlink';
import type { FieldWorker } from '@/workers/field.worker';

let worker: Remote<FieldWorker> | undefined;

/** The one worker of this page that reads tracks and fits what was measured. */
export function fieldWorker(): Remote<FieldWorker> {
  worker ??= wrap<FieldWorker>(
    new Worker(new URL('../../workers/field.worker.ts', import.meta.url), { type: 'module' }),
  );
  return worker;
}

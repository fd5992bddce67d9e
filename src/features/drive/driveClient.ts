import { wrap } from 'comlink';
import type { DriveWorker } from '@/workers/drive.worker';

type Asynchronous<T> = {
  readonly [K in keyof T]: T[K] extends (...given: infer A) => infer R ? (...given: A) => Promise<R> : never;
};

let worker: Asynchronous<DriveWorker> | undefined;

/** The one worker of this page that works out heat, what-ifs and ratio bands. */
export function driveWorker(): Asynchronous<DriveWorker> {
  worker ??= wrap<DriveWorker>(
    new Worker(new URL('../../workers/drive.worker.ts', import.meta.url), { type: 'module' }),
  ) as unknown as Asynchronous<DriveWorker>;
  return worker;
}

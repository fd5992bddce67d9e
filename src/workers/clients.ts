import { wrap } from 'comlink';
import type { AidsWorker } from './aids.worker';
import type { ChecksWorker } from './checks.worker';
import type { DriveWorker } from './drive.worker';
import type { FieldWorker } from './field.worker';
import type { LearnWorker } from './learn.worker';
import type { PartsWorker } from './parts.worker';
import type { PrintWorker } from './print.worker';
import type { SolidsWorker } from './solids.worker';
import type { SuspensionWorker } from './suspension.worker';
import type { SweepWorker } from './sweep.worker';

interface Workers {
  /** Runs the aids. */
  aids: AidsWorker;
  /** Evaluates checks over all surfaces, remedies included. */
  checks: ChecksWorker;
  /** Works out heat, what-ifs and ratio bands. */
  drive: DriveWorker;
  /** Reads tracks and fits what was measured. */
  field: FieldWorker;
  /** Works out what a diagnosis and the next change need. */
  learn: LearnWorker;
  /** Reads and solves meshes. */
  parts: PartsWorker;
  /** Solves hole patterns, lays parts on the bed and splits them. */
  print: PrintWorker;
  /** Makes exact solids and their files. */
  solids: SolidsWorker;
  /** Searches better points, and drops a corner with other springs. */
  suspension: SuspensionWorker;
  /** Works out the explorer's combinations, shared out over several. */
  sweep: SweepWorker;
}
type WorkerName = keyof Workers;

/** As a worker's functions are called from the page. */
type Asked<T> = {
  readonly [K in keyof T]: T[K] extends (...given: infer A) => infer R
    ? (...given: A) => Promise<Awaited<R>>
    : never;
};

/** Each address is written out, as the bundler follows it. */
const START: Readonly<Record<WorkerName, () => Worker>> = {
  aids: () => new Worker(new URL('./aids.worker.ts', import.meta.url), { type: 'module' }),
  checks: () => new Worker(new URL('./checks.worker.ts', import.meta.url), { type: 'module' }),
  drive: () => new Worker(new URL('./drive.worker.ts', import.meta.url), { type: 'module' }),
  field: () => new Worker(new URL('./field.worker.ts', import.meta.url), { type: 'module' }),
  learn: () => new Worker(new URL('./learn.worker.ts', import.meta.url), { type: 'module' }),
  parts: () => new Worker(new URL('./parts.worker.ts', import.meta.url), { type: 'module' }),
  print: () => new Worker(new URL('./print.worker.ts', import.meta.url), { type: 'module' }),
  solids: () => new Worker(new URL('./solids.worker.ts', import.meta.url), { type: 'module' }),
  suspension: () => new Worker(new URL('./suspension.worker.ts', import.meta.url), { type: 'module' }),
  sweep: () => new Worker(new URL('./sweep.worker.ts', import.meta.url), { type: 'module' }),
};

const started = new Map<string, unknown>();

/**
 * The worker of this page of a name, started when it is first asked for.
 *
 * @param hand which of several that share out work
 */
export function workerOf<N extends WorkerName>(name: N, hand = 0): Asked<Workers[N]> {
  const key = `${name} ${hand}`;
  const known = started.get(key) ?? wrap(START[name]());
  started.set(key, known);
  return known as Asked<Workers[N]>;
}

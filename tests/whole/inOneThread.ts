import { fileURLToPath } from 'node:url';
import type { Worked } from '@/features/session/useWorked';

const apis = new Map<string, object>();
let exposed: object | undefined;

/** Stands in for comlink: a worker's functions run where they are called. */
export const comlink = {
  expose: (api: object) => {
    exposed = api;
  },
  wrap: ({ url }: { url: URL }) => {
    const file = fileURLToPath(url);
    if (!apis.has(file)) {
      exposed = undefined;
      // eslint-disable-next-line @typescript-eslint/no-require-imports -- the module registry of the test holds the stand-in
      require(file);
      apis.set(file, exposed!);
    }
    return apis.get(file)!;
  },
  proxy: <T>(value: T) => value,
};

/** Stands in for a browser's worker. */
export class HereWorker {
  constructor(readonly url: URL) {}
}

/** Stands in for the hook: what the worker makes of the inputs, at once. */
export function workedHere<T extends object>(work: (() => unknown) | undefined): Worked<T> {
  const answer = work?.();
  if (answer === undefined || answer instanceof Promise) return { stale: true };
  return 'refused' in (answer as object)
    ? { refused: (answer as { refused: NonNullable<Worked<T>['refused']> }).refused, stale: false }
    : { value: answer as T, stale: false };
}

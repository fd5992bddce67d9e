import { expose } from 'comlink';
import { type BetterResult, type BetterTask, searchBetter } from '@/core/suspension/better';
import { CalcError } from '@/core/errors';
import { type Refusal, refusalOf } from './refusal';

/** Short enough that a cancel is felt at once. */
const CHUNK_MS = 60;
const breath = () => new Promise<void>((resume) => setTimeout(resume, 0));

/** A search that is no longer the latest stops at its next breath. */
let latest = 0;

const api = {
  /** `report` gets the number of corners tried so far. */
  async search(task: BetterTask, report: (done: number) => Promise<void>): Promise<BetterResult | Refusal | undefined> {
    const mine = ++latest;
    try {
      const search = searchBetter(task);
      let since = performance.now();
      for (;;) {
        const step = search.next();
        if (step.done) return step.value;
        if (performance.now() - since < CHUNK_MS) continue;
        await report(step.value);
        await breath();
        if (mine !== latest) return undefined;
        since = performance.now();
      }
    } catch (error) {
      if (!(error instanceof CalcError)) throw error;
      return refusalOf(error);
    }
  },
  cancel(): void {
    latest++;
  },
};

export type SuspensionWorker = typeof api;

expose(api);

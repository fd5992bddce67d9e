/** Long enough that the way to the page does not count, short enough that a cancel is felt at once. */
const CHUNK_MS = 60;
const breath = () => new Promise<void>((resume) => setTimeout(resume, 0));

/** Runs the latest of some generators in pieces, each yielding how much is done. */
export interface Pieces {
  /** Undefined where another took its place or it was cancelled. */
  run<T>(work: Generator<number, T>, report: (done: number) => Promise<void>): Promise<T | undefined>;
  cancel(): void;
}

export function pieces(): Pieces {
  let latest = 0;
  return {
    run: async (work, report) => {
      const mine = ++latest;
      let since = performance.now();
      for (;;) {
        const step = work.next();
        if (step.done) return step.value;
        if (performance.now() - since < CHUNK_MS) continue;
        await report(step.value);
        await breath();
        if (mine !== latest) return undefined;
        since = performance.now();
      }
    },
    cancel: () => {
      latest++;
    },
  };
}

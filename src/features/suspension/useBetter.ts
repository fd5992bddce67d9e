import { proxy, type Remote, wrap } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { BetterResult, BetterTask } from '@/core/worked/suspension/better';
import type { Refusal } from '@/workers/refusal';
import type { SuspensionWorker } from '@/workers/suspension.worker';

export interface Better {
  readonly result: BetterResult | undefined;
  readonly refused: Refusal['refused'] | undefined;
  /** Corners tried, while it is under way. */
  readonly done: number | undefined;
  start(task: BetterTask): void;
  cancel(): void;
}

/** A search for better points in its worker; the last result stays until the next is there. */
export function useBetter(): Better {
  const [found, setFound] = useState<BetterResult | Refusal>();
  const [done, setDone] = useState<number>();
  const hand = useRef<{ worker: Worker; remote: Remote<SuspensionWorker> }>(undefined);
  const turn = useRef(0);
  useEffect(() => () => hand.current?.worker.terminate(), []);

  const cancel = useCallback(() => {
    turn.current++;
    void hand.current?.remote.cancel();
    setDone(undefined);
  }, []);

  const start = useCallback((task: BetterTask) => {
    if (!hand.current) {
      const worker = new Worker(new URL('../../workers/suspension.worker.ts', import.meta.url), {
        type: 'module',
      });
      hand.current = { worker, remote: wrap<SuspensionWorker>(worker) };
    }
    const mine = ++turn.current;
    setDone(0);
    const report = proxy(async (tried: number) => {
      if (mine === turn.current) setDone(tried);
    });
    void hand.current.remote.search(task, report).then((answer) => {
      if (mine !== turn.current) return;
      setDone(undefined);
      if (answer) setFound(answer);
    });
  }, []);

  const refused = found && 'refused' in found ? found.refused : undefined;
  return { result: found && !('refused' in found) ? found : undefined, refused, done, start, cancel };
}

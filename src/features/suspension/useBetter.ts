import { proxy } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { BetterResult, BetterTask } from '@/core/worked/suspension/better';
import type { Refusal } from '@/workers/refusal';
import { workerOf } from '@/workers/clients';

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
  const turn = useRef(0);
  useEffect(
    () => () => {
      turn.current++;
      void workerOf('suspension').cancel();
    },
    [],
  );

  const cancel = useCallback(() => {
    turn.current++;
    void workerOf('suspension').cancel();
    setDone(undefined);
  }, []);

  const start = useCallback((task: BetterTask) => {
    const mine = ++turn.current;
    setDone(0);
    const report = proxy(async (tried: number) => {
      if (mine === turn.current) setDone(tried);
    });
    void workerOf('suspension')
      .search(task, report)
      .then((answer) => {
        if (mine !== turn.current) return;
        setDone(undefined);
        if (answer) setFound(answer);
      });
  }, []);

  const refused = found && 'refused' in found ? found.refused : undefined;
  return { result: found && !('refused' in found) ? found : undefined, refused, done, start, cancel };
}

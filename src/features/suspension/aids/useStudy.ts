import { proxy } from 'comlink';
import { useCallback, useRef, useState } from 'react';
import { workerOf } from '@/workers/clients';

export interface Study<T> {
  readonly found: T | undefined;
  readonly done: number | undefined;
  start(work: (report: (done: number) => Promise<void>) => Promise<T | undefined>): void;
  cancel(): void;
}

/** Long work with its progress; the last answer stays until the next is whole. */
export function useStudy<T>(): Study<T> {
  const [found, setFound] = useState<T>();
  const [done, setDone] = useState<number>();
  const turn = useRef(0);
  const start = useCallback<Study<T>['start']>((work) => {
    const mine = ++turn.current;
    setDone(0);
    const report = proxy(async (tried: number) => {
      if (mine === turn.current) setDone(tried);
    });
    void work(report).then((answer) => {
      if (mine !== turn.current) return;
      setDone(undefined);
      if (answer !== undefined) setFound(answer);
    });
  }, []);
  const cancel = useCallback(() => {
    turn.current++;
    void workerOf('aids').cancel();
    setDone(undefined);
  }, []);
  return { found, done, start, cancel };
}

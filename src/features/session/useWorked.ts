import { useEffect, useRef, useState } from 'react';
import type { Refusal } from '@/workers/refusal';

export interface Worked<T> {
  /** The last that came; the one before stays until the next is there. */
  readonly value?: T;
  readonly refused?: Refusal['refused'];
  readonly stale: boolean;
}

const AFTER_CHANGE_MS = 10;

/** What the worker makes of the inputs, worked out again when one of them is another; `work` is undefined where there is nothing to do. */
export function useWorked<T extends object>(
  work: (() => Promise<T | Refusal>) | undefined,
  inputs: readonly unknown[],
): Worked<T> {
  const [found, setFound] = useState<{ inputs: readonly unknown[]; answer: T | Refusal }>();
  const held = useRef(work);
  useEffect(() => {
    held.current = work;
  });
  const idle = work === undefined;
  useEffect(() => {
    if (idle) return;
    let current = true;
    const timer = setTimeout(() => {
      void held.current?.().then((answer) => {
        if (current) setFound({ inputs, answer });
      });
    }, AFTER_CHANGE_MS);
    return () => {
      current = false;
      clearTimeout(timer);
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the inputs are the dependencies
  }, [idle, ...inputs]);

  if (!found || idle) return { stale: true };
  const stale = found.inputs.some((input, index) => input !== inputs[index]);
  return 'refused' in found.answer
    ? { refused: found.answer.refused, stale }
    : { value: found.answer as T, stale };
}

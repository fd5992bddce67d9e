import { useSyncExternalStore } from 'react';
import type { Rival } from '@/core/car/records/mergeSheets';

/** What two writers said differently of one record, until it is answered which of both stays. */
export interface AskedRivals {
  readonly id: number;
  readonly rivals: readonly Rival[];
  answer(keepsMine: readonly boolean[]): void;
}

let questions = 0;
let asked: readonly AskedRivals[] = [];
const tellers = new Set<() => void>();

function publish(next: readonly AskedRivals[]): void {
  asked = next;
  for (const tell of tellers) tell();
}

/** Asks which of both values stays; answered by whoever sits before the page. */
export const askRivals = (rivals: readonly Rival[]): Promise<readonly boolean[]> =>
  new Promise((answered) => {
    const question: AskedRivals = {
      id: ++questions,
      rivals,
      answer: (keepsMine) => {
        publish(asked.filter((one) => one !== question));
        answered(keepsMine);
      },
    };
    publish([...asked, question]);
  });

function subscribe(tell: () => void): () => void {
  tellers.add(tell);
  return () => tellers.delete(tell);
}

const NONE: readonly AskedRivals[] = [];
export const useAskedRivals = (): readonly AskedRivals[] =>
  useSyncExternalStore(
    subscribe,
    () => asked,
    () => NONE,
  );

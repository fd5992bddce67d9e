import { useEffect } from 'react';
import type { BuildSession, KeptSteps } from './buildSession';

const keyOf = (revisionId: string) => `badger-steps-${revisionId}`;

/** Keeps the steps of undo with this tab; a storage that is full or forbidden keeps none. */
export function keepSteps(revisionId: string, steps: KeptSteps): void {
  try {
    sessionStorage.setItem(keyOf(revisionId), JSON.stringify(steps, (_, value: unknown) => (value === undefined ? null : value)));
  } catch {
    // undo then ends where the page was loaded
  }
}

/** Takes up the steps that this tab had before it was loaded again. */
export function useKeptSteps(session: BuildSession, revisionId: string): void {
  useEffect(() => {
    try {
      const kept = sessionStorage.getItem(keyOf(revisionId));
      if (kept) session.restore(withoutNulls(JSON.parse(kept) as KeptSteps));
    } catch {
      // what cannot be read is not taken up
    }
  }, [session, revisionId]);
}

/** A document holds no null: there it stands for a value that was not there. */
function withoutNulls(steps: KeptSteps): KeptSteps {
  const lists = [steps.done, steps.undone].map((list) => list.map((step) => ({ ...step, forward: revived(step.forward), backward: revived(step.backward) })));
  return { done: lists[0]!, undone: lists[1]! };
}

const revived = (patch: KeptSteps['done'][number]['forward']) => patch.map(({ path, value }) => ({ path, value: value === null ? undefined : value }));

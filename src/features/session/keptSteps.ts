import { useEffect } from 'react';
import type { BuildSession, KeptSteps } from './buildSession';

const keyOf = (revisionId: string) => `badger-steps-${revisionId}`;

/** Keeps the steps of undo with this tab; a storage that is full or forbidden keeps none, and undo ends where the page was loaded. */
export function keepSteps(revisionId: string, steps: KeptSteps): void {
  try {
    sessionStorage.setItem(keyOf(revisionId), JSON.stringify(steps));
  } catch {
    return;
  }
}

/** Takes up the steps that this tab had before it was loaded again. */
export function useKeptSteps(session: BuildSession, revisionId: string | undefined): void {
  useEffect(() => {
    if (revisionId === undefined) return;
    try {
      const kept = sessionStorage.getItem(keyOf(revisionId));
      if (kept) session.restore(JSON.parse(kept) as KeptSteps);
    } catch {
      return;
    }
  }, [session, revisionId]);
}

import { type KeyboardEvent, useCallback, useRef } from 'react';

const ONE_STEP_MS = 1000;

/** Arrow presses that follow each other within a second are one step of undo: the step before ends with the first press after a pause. */
export function useArrowSteps(onEnd: (() => void) | undefined): (event: KeyboardEvent) => void {
  const last = useRef(-Infinity);
  return useCallback(
    (event: KeyboardEvent) => {
      if (!event.key.startsWith('Arrow')) return;
      if (event.timeStamp - last.current > ONE_STEP_MS) onEnd?.();
      last.current = event.timeStamp;
    },
    [onEnd],
  );
}

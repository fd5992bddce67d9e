'use client';

import { useSyncExternalStore } from 'react';

const PHONE = '(max-width: 600px)';

function watch(changed: () => void): () => void {
  const media = window.matchMedia(PHONE);
  media.addEventListener('change', changed);
  return () => media.removeEventListener('change', changed);
}

/** Whether the page stands on a phone; false until the browser has said so. */
export const useNarrow = (): boolean =>
  useSyncExternalStore(
    watch,
    () => window.matchMedia(PHONE).matches,
    () => false,
  );

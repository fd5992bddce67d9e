'use client';

import { useEffect } from 'react';

/** Has the pages that are wanted in the field kept on this device. */
export function OfflineReady({ paths }: { paths: readonly string[] }) {
  const wanted = paths.join('\n');
  useEffect(() => {
    if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
    let current = true;
    void navigator.serviceWorker.register('/service-worker.js').then(() => navigator.serviceWorker.ready).then(({ active }) => {
      if (current && navigator.onLine) active?.postMessage({ keep: wanted.split('\n') });
    }).catch(() => undefined);
    return () => {
      current = false;
    };
  }, [wanted]);
  return null;
}

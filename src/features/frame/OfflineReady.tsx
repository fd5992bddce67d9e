'use client';

import { useEffect } from 'react';

/** Has the pages that are wanted in the field kept on this device. */
export function OfflineReady({ paths }: { paths: readonly string[] }) {
  const wanted = paths.join('\n');
  useEffect(() => {
    if (!('serviceWorker' in navigator)) return;
    if (process.env.NODE_ENV !== 'production') {
      // scripts under development change under the same name: an earlier keeper would hold the old ones
      void navigator.serviceWorker
        .getRegistrations()
        .then((all) => Promise.all(all.map((one) => one.unregister())));
      return;
    }
    let current = true;
    void navigator.serviceWorker
      .register('/service-worker.js')
      .then(() => navigator.serviceWorker.ready)
      .then(({ active }) => {
        if (current && navigator.onLine) active?.postMessage({ keep: wanted.split('\n') });
      })
      .catch(() => undefined);
    return () => {
      current = false;
    };
  }, [wanted]);
  return null;
}

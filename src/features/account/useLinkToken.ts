import { useSyncExternalStore } from 'react';

const subscribe = (tell: () => void) => {
  window.addEventListener('hashchange', tell);
  return () => window.removeEventListener('hashchange', tell);
};

/** What stands behind the # of a link: no server, log or referrer sees it. Nothing until the page is alive. */
export const useLinkToken = (): string | undefined =>
  useSyncExternalStore(
    subscribe,
    () => window.location.hash.slice(1),
    () => undefined,
  );

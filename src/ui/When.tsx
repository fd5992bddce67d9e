'use client';

import { useSyncExternalStore } from 'react';
import { useReader } from './reader';

const never = () => () => undefined;

/** A moment in the reader's own time zone; the server, which does not know it, writes UTC. */
export function When({ at, time = false }: { at: string; time?: boolean }) {
  const { reader } = useReader();
  const inBrowser = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  const format = new Intl.DateTimeFormat(reader.locale, {
    dateStyle: 'medium',
    ...(time ? { timeStyle: 'short' } : {}),
    ...(inBrowser ? {} : { timeZone: 'UTC' }),
  });
  return <time dateTime={at}>{format.format(new Date(at))}</time>;
}

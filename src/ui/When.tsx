'use client';

import { useSyncExternalStore } from 'react';
import type { Reader } from '@/core/base/units/formatQuantity';
import { useReader } from './reader';

/** The day of a moment, in the reader's own time zone. */
export const dayText = (at: string, { locale }: Reader): string =>
  new Intl.DateTimeFormat(locale, { dateStyle: 'medium' }).format(new Date(at));

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

import { cookies, headers } from 'next/headers';
import type { Reader } from '@/core/base/units/formatQuantity';
import { cookieOf } from './cookieOf';

/** Locale and units of the page that is being made. */
export async function readerOfRequest(): Promise<{ reader: Reader; known: boolean }> {
  const jar = await cookies();
  return readerFrom((name) => jar.get(name)?.value, (await headers()).get('accept-language'));
}

/** The same of a request to a door. */
export function readerOfHeaders(sent: Headers): Reader {
  return readerFrom((name) => cookieOf(sent, name), sent.get('accept-language')).reader;
}

/** From the reader's cookies, at the first visit from what the browser asks for. */
function readerFrom(
  cookie: (name: string) => string | undefined,
  languages: string | null,
): { reader: Reader; known: boolean } {
  const kept = cookie('reader-locale');
  const asked = languages?.split(',')[0]?.split(';')[0]?.trim();
  const locale = [kept, asked, 'en-GB'].find(
    (candidate): candidate is string => candidate !== undefined && isLocale(candidate),
  )!;
  return {
    reader: { locale, units: cookie('reader-units') === 'imperial' ? 'imperial' : 'metric' },
    known: kept !== undefined,
  };
}

function isLocale(candidate: string): boolean {
  try {
    return Intl.NumberFormat.supportedLocalesOf([candidate]).length > 0;
  } catch {
    return false;
  }
}

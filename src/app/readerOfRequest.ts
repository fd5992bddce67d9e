import { cookies, headers } from 'next/headers';
import type { Reader } from '@/core/units/formatQuantity';

/** Locale and units from the reader's cookies, at the first visit from what the browser asks for. */
export async function readerOfRequest(): Promise<{ reader: Reader; known: boolean }> {
  const jar = await cookies();
  const kept = jar.get('reader-locale')?.value;
  const asked = (await headers()).get('accept-language')?.split(',')[0]?.split(';')[0]?.trim();
  const locale = [kept, asked, 'en-GB'].find((candidate): candidate is string => candidate !== undefined && isLocale(candidate))!;
  const units = jar.get('reader-units')?.value === 'imperial' ? 'imperial' : 'metric';
  return { reader: { locale, units }, known: kept !== undefined };
}

function isLocale(candidate: string): boolean {
  try {
    return Intl.NumberFormat.supportedLocalesOf([candidate]).length > 0;
  } catch {
    return false;
  }
}

const made = new Map<string, Intl.NumberFormat>();

/** A number format of a locale; making one is slow, so each is made once. */
export function numberFormat(locale: string, options: Intl.NumberFormatOptions): Intl.NumberFormat {
  const key = `${locale} ${JSON.stringify(options)}`;
  const known = made.get(key);
  if (known) return known;
  const format = new Intl.NumberFormat(locale, options);
  made.set(key, format);
  return format;
}

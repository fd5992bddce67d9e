/** Something made from a document, or what the document still needs for it. */
export type Assembled<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly missing: readonly string[] };

/** Names of the entries that are undefined. */
export function missingOf(needed: Readonly<Record<string, unknown>>): string[] {
  return Object.entries(needed)
    .filter(([, value]) => value === undefined)
    .map(([name]) => name);
}

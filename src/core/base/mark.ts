/** FNV-1a over a text, 32 bits. Source: Fowler, Noll, Vo. */
function fnv(text: string): string {
  let hash = 0x811c9dc5;
  for (let index = 0; index < text.length; index++)
    hash = Math.imul(hash ^ text.charCodeAt(index), 0x01000193);
  return (hash >>> 0).toString(16).padStart(8, '0');
}

/** The same things in the same order whatever the order of their keys. */
const canonical = (value: unknown): string =>
  JSON.stringify(value, (_, inner: unknown) =>
    typeof inner === 'object' && inner !== null && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  ) ?? '';

/** A short mark of a thing: the same for equal things, another for others. */
export const markOf = (thing: unknown): string => fnv(canonical(thing));

const DIGITS = 6;

/** The same with every figure to six digits: sines and roots of one engine differ from another's in the last. */
export const roundedMarkOf = (value: unknown): string =>
  markOf(
    JSON.parse(
      JSON.stringify(value, (_, one: unknown) =>
        typeof one === 'number' ? Number(one.toPrecision(DIGITS)) : one,
      ),
    ),
  );

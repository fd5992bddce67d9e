import fc from 'fast-check';

/** One thing that goes wrong with a file on its way. */
type Mishap = readonly [
  kind: 'flip' | 'cut' | 'copy' | 'insert' | 'end',
  at: number,
  length: number,
  byte: number,
];

/** Letters that mean something in one of the formats. */
const TELLING = [...'<>&"\'/,;.-+eE0 \n\r\t#*=[]{}'].map((letter) => letter.charCodeAt(0));

const mishaps: fc.Arbitrary<Mishap[]> = fc.array(
  fc.tuple(
    fc.constantFrom('flip' as const, 'cut' as const, 'copy' as const, 'insert' as const, 'end' as const),
    fc.double({ min: 0, max: 1, noNaN: true }),
    fc.integer({ min: 1, max: 60 }),
    fc.oneof(fc.integer({ min: 0, max: 255 }), fc.constantFrom(...TELLING)),
  ),
  { maxLength: 6 },
);

function befallen(bytes: Uint8Array, [kind, share, length, byte]: Mishap): Uint8Array {
  const at = Math.floor(share * bytes.length);
  const [before, after] = [bytes.slice(0, at), bytes.slice(at)];
  switch (kind) {
    case 'flip':
      return Uint8Array.from([...before, byte, ...after.slice(1)]);
    case 'cut':
      return Uint8Array.from([...before, ...after.slice(length)]);
    case 'copy':
      return Uint8Array.from([...before, ...after.slice(0, length), ...after]);
    case 'insert':
      return Uint8Array.from([...before, byte, ...after]);
    case 'end':
      return before;
  }
}

/** A file as it is, or with a few mishaps. */
export const changedBytes = (bytes: Uint8Array): fc.Arbitrary<Uint8Array> =>
  mishaps.map((all) => all.reduce(befallen, bytes));

export const changedText = (text: string): fc.Arbitrary<string> =>
  changedBytes(new TextEncoder().encode(text)).map((bytes) => new TextDecoder().decode(bytes));

type Bag = Record<string, unknown>;

const ODD: readonly unknown[] = [
  null,
  true,
  0,
  -1,
  1e308,
  5e-324,
  '',
  '\u0000',
  '\ud800',
  'constructor',
  'x'.repeat(3000),
  [],
  {},
  [null],
  { toString: 1 },
];

/** Every way into a value. */
function waysInto(value: unknown, way: readonly string[] = []): string[][] {
  if (typeof value !== 'object' || value === null) return way.length === 0 ? [] : [[...way]];
  return [
    ...(way.length === 0 ? [] : [[...way]]),
    ...Object.entries(value).flatMap(([key, one]) => waysInto(one, [...way, key])),
  ];
}

/** A JSON value in which a few places hold something odd, are gone, or stand twice. */
export function changedValue<T>(value: T): fc.Arbitrary<unknown> {
  const ways = waysInto(value);
  const change = fc.tuple(
    fc.nat({ max: ways.length - 1 }),
    fc.constantFrom('put' as const, 'gone' as const, 'more' as const),
    fc.constantFrom(...ODD),
  );
  return fc.array(change, { maxLength: 3 }).map((changes) => {
    const changed = structuredClone(value) as Bag;
    for (const [at, kind, odd] of changes) {
      const way = ways[at]!;
      const holder = way
        .slice(0, -1)
        .reduce<unknown>((node, key) => (node as Bag | undefined)?.[key], changed) as Bag | undefined;
      if (typeof holder !== 'object' || holder === null) continue;
      const key = way.at(-1)!;
      if (kind === 'put') holder[key] = odd;
      else if (kind === 'gone') delete holder[key];
      else holder[`${key}x`] = holder[key];
    }
    return changed;
  });
}

import { LIBRARY_WORDS } from './library';
import { CalcError } from '@/core/base/errors';
import type { Figure } from '@/core/car/fields/figure';
import { parseLibraryItem } from '@/core/car/library/items.schema';
import { LIBRARY_KIND_RECORDS, LIBRARY_KINDS, type LibraryKind } from '@/core/car/library/kinds';

/** Read where they are printed for: the library asks no figure of them. */
const ASKED = LIBRARY_KINDS.filter((kind) => Object.keys(LIBRARY_KIND_RECORDS[kind].blank).length > 0);

const figuresOf = (kind: LibraryKind) =>
  Object.entries(LIBRARY_KIND_RECORDS[kind].figures as Readonly<Record<string, Figure>>);

const item = (kind: LibraryKind, change: object = {}) => ({
  id: 'x',
  kind,
  data: { name: 'Mine', ...LIBRARY_KIND_RECORDS[kind].blank, ...change },
});

const refusedAt = (raw: unknown) => {
  try {
    parseLibraryItem(raw);
  } catch (error) {
    return (error as CalcError).path;
  }
  return undefined;
};

describe('kinds of the library', () => {
  it('are all asked but for the test piece', () =>
    expect(LIBRARY_KINDS.filter((kind) => !ASKED.includes(kind))).toEqual(['coupon']));

  it.each(ASKED)('%s begins with figures that it can be kept with, once a protocol is named', (kind) => {
    const named = 'protocol' in LIBRARY_KIND_RECORDS[kind].blank ? { protocol: 'hop 1' } : {};
    expect(refusedAt(item(kind, named))).toBeUndefined();
  });

  it.each(ASKED)('%s names every figure that it asks, and asks every figure that it needs', (kind) => {
    const asked = Object.keys(LIBRARY_KIND_RECORDS[kind].blank);
    expect(Object.keys(LIBRARY_WORDS[kind].figures)).toEqual(asked);
    const needed = figuresOf(kind).flatMap(([key, { optional }]) => (optional ? [] : [key]));
    expect(asked).toEqual(expect.arrayContaining(needed));
  });

  it.each(
    LIBRARY_KINDS.flatMap((kind) =>
      figuresOf(kind).flatMap(([key, figure]) =>
        'quantity' in figure ? [[`${kind} ${key}`, kind, key, figure] as const] : [],
      ),
    ),
  )('%s is held by its own bounds', (_, kind, key, { limits: { above, from, below, to }, whole }) => {
    const within = (value: number) =>
      refusedAt(item(kind, { protocol: 'hop 1', [key]: value })) !== `data.${key}`;
    if (to !== undefined) expect([within(to), within(to * 1.01 + 1)]).toEqual([true, false]);
    if (from !== undefined) expect([within(from), within(from - 1)]).toEqual([true, false]);
    if (above !== undefined) expect(within(above)).toBe(false);
    if (below !== undefined) expect(within(below)).toBe(false);
    expect(within(Number.NaN)).toBe(false);
    if (whole) expect(within(1.5)).toBe(false);
  });
});

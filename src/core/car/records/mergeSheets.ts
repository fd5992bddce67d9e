import type { FailureSheet } from './records';
import type { CopySheet, PrintSheet } from './prints';

/** Records that several people, or several tabs, write to. */
export interface SheetOf {
  failure: FailureSheet;
  print: PrintSheet;
  copy: CopySheet;
}
export type SheetKind = keyof SheetOf;

/** What is one fact of a record: figures that say one thing together, and the items of its lists. */
interface Shape {
  /** Figures of which one without the others says something else; the first gives the fact its name. */
  readonly together: readonly (readonly string[])[];
  /** Lists with the key by which their items are known, none where they are words. */
  readonly lists: Readonly<Record<string, string | undefined>>;
}

const SHAPES: Readonly<Record<SheetKind, Shape>> = {
  failure: {
    together: [
      ['mode', 'ledger.modeWords'],
      ['partName', 'partId'],
      ['fix', 'fixRevisionId'],
    ],
    lists: {
      'ledger.clues': undefined,
      'ledger.changesSinceGood': undefined,
      'ledger.photos': 'hash',
      'ledger.outcomes': 'check',
    },
  },
  print: {
    together: [['state', 'startedAt', 'endedAt', 'actualS', 'massG', 'why']],
    lists: { items: 'copyId' },
  },
  copy: { together: [['retiredAt', 'retiredWhy']], lists: { readings: 'id', repairs: 'id' } },
};

/** A fact that two writers changed to different things. */
export interface Rival<K extends SheetKind = SheetKind> {
  readonly kind: K;
  /** The way to it: its name, or that of its list and of the item. */
  readonly fact: readonly [name: string, item?: string];
  readonly mine: unknown;
  readonly theirs: unknown;
}

type Facts = Map<string, unknown>;
const BETWEEN = '\n';

/**
 * Joins two writers' changes of one record: of different facts both are kept, of the same fact theirs, with both in `rivals`.
 *
 * @param base the record as it was when `mine` was begun
 */
export function mergeSheets<K extends SheetKind>(
  kind: K,
  base: SheetOf[K],
  mine: SheetOf[K],
  theirs: SheetOf[K],
): { sheet: SheetOf[K]; rivals: Rival<K>[] } {
  const shape = SHAPES[kind];
  const [before, here, there] = [base, mine, theirs].map((sheet) => factsOf(sheet, shape)) as [
    Facts,
    Facts,
    Facts,
  ];
  const merged: Facts = new Map(there);
  const rivals: Rival<K>[] = [];
  for (const key of new Set([...before.keys(), ...here.keys()])) {
    const [was, is, other] = [before.get(key), here.get(key), there.get(key)];
    if (same(was, is) || same(is, other)) continue;
    if (!same(was, other))
      rivals.push({ kind, fact: key.split(BETWEEN) as [string, string?], mine: is, theirs: other });
    else put(merged, key, is);
  }
  return { sheet: sheetOf<K>(merged, shape), rivals };
}

/** The sheet with the writer's own value where two differ. */
export function withMine<K extends SheetKind>(sheet: SheetOf[K], { kind, fact, mine }: Rival<K>): SheetOf[K] {
  const shape = SHAPES[kind];
  const facts = factsOf(sheet, shape);
  put(facts, fact.filter((one) => one !== undefined).join(BETWEEN), mine);
  return sheetOf<K>(facts, shape);
}

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

function put(facts: Facts, key: string, value: unknown): void {
  if (value === undefined) facts.delete(key);
  else facts.set(key, value);
}

function factsOf(sheet: object, { together, lists }: Shape): Facts {
  const flat = new Map(
    Object.entries(sheet).flatMap(([name, value]) =>
      name === 'ledger'
        ? Object.entries((value ?? {}) as object).map(([of, one]) => [`ledger.${of}`, one] as const)
        : [[name, value] as const],
    ),
  );
  const facts: Facts = new Map();
  for (const [name, value] of flat) {
    if (value === undefined) continue;
    const group = together.find((names) => names.includes(name));
    if (group)
      facts.set(
        group[0]!,
        Object.fromEntries(
          group.flatMap((one) => (flat.get(one) === undefined ? [] : [[one, flat.get(one)]])),
        ),
      );
    else if (!(name in lists)) facts.set(name, value);
    else
      for (const item of value as unknown[]) facts.set(`${name}${BETWEEN}${nameOf(item, lists[name])}`, item);
  }
  return facts;
}

const nameOf = (item: unknown, by: string | undefined) =>
  String(by === undefined ? item : (item as Record<string, unknown>)[by]);

function sheetOf<K extends SheetKind>(facts: Facts, { together }: Shape): SheetOf[K] {
  const sheet: Record<string, unknown> = {};
  const ledger: Record<string, unknown> = {};
  const set = (name: string, value: unknown) => {
    if (name.startsWith('ledger.')) ledger[name.slice('ledger.'.length)] = value;
    else sheet[name] = value;
  };
  const got = (name: string) =>
    name.startsWith('ledger.') ? ledger[name.slice('ledger.'.length)] : sheet[name];
  for (const [key, value] of facts) {
    const [name, item] = key.split(BETWEEN) as [string, string?];
    if (item !== undefined) set(name, [...((got(name) as unknown[] | undefined) ?? []), value]);
    else if (together.some(([first]) => first === name))
      for (const [one, own] of Object.entries(value as object)) set(one, own);
    else set(name, value);
  }
  return (Object.keys(ledger).length > 0 ? { ...sheet, ledger } : sheet) as unknown as SheetOf[K];
}

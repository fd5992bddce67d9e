import Papa from 'papaparse';
import { type ListEntry, SOURCES } from '../../car/document/print';
import { refusal } from '../../base/errors';
import type { MakeLine } from './makeList';

declare module '../../base/errors' {
  interface RefusalFacts {
    'makeList.long': Record<never, never>;
    'makeList.columns': { columns: string };
    'makeList.lines': { mostLines: number };
    'makeList.unnamed': Record<never, never>;
    'makeList.source': { source: string; sources: string };
    'makeList.number': { written: string; whole: boolean; most: number };
    'makeList.twice': { name: string };
  }
}

const COLUMNS = ['id', 'name', 'source', 'quantity', 'mass_g', 'price', 'lead_days', 'on_hand'] as const;
type Column = (typeof COLUMNS)[number];

const NUMBERS: Readonly<
  Partial<
    Record<
      Column,
      {
        key: 'quantity' | 'massG' | 'price' | 'leadDays' | 'onHand';
        whole?: true;
        most: number;
        above?: true;
      }
    >
  >
> = {
  quantity: { key: 'quantity', whole: true, most: 1000 },
  mass_g: { key: 'massG', most: 100_000, above: true },
  price: { key: 'price', most: 1e6 },
  lead_days: { key: 'leadDays', most: 1000 },
  on_hand: { key: 'onHand', whole: true, most: 1000 },
};
/** Larger than any list of one car. */
const MOST_CHARACTERS = 500_000;
const MOST_LINES = 600;

const rounded = (value: number | undefined) => (value === undefined ? '' : Number(value.toPrecision(6)));

/** The make-or-buy list as CSV: masses in g and prices of one, lead times in days. */
export const makeToCsv = (lines: readonly MakeLine[]): string =>
  Papa.unparse(
    {
      fields: [...COLUMNS],
      data: lines.map(({ id, name, source, quantity, massG, price, leadDays, onHand }) => [
        id,
        guarded(name),
        source,
        quantity,
        rounded(massG),
        rounded(price),
        leadDays ?? '',
        onHand,
      ]),
    },
    { newline: '\n' },
  );

/** A name that a table program would take for a formula. */
const guarded = (name: string) => (/^[=+@-]/.test(name) ? `'${name}` : name);

/**
 * What a CSV says of the list: lines are known by id, else by name; a name that is new becomes a thing of its own. A figure that
 * is worked out here and stands unchanged in the file is not taken for one that was set by hand.
 *
 * @throws CalcError at the line and column that cannot be read
 */
export function makeFromCsv(text: string, lines: readonly MakeLine[], newId: () => string): ListEntry[] {
  if (text.length > MOST_CHARACTERS) throw refusal('', 'makeList.long');
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, '').trim(), {
    header: true,
    skipEmptyLines: true,
    transformHeader: (header) => header.trim().toLowerCase(),
  });
  const columns = meta.fields ?? [];
  if (!columns.includes('id') && !columns.includes('name'))
    throw refusal('line 1', 'makeList.columns', { columns: COLUMNS.join(',') });
  if (data.length > MOST_LINES)
    throw refusal(`line ${MOST_LINES + 2}`, 'makeList.lines', { mostLines: MOST_LINES });
  const seen = new Set<string>();
  return data.map((row, index) => {
    const at = `line ${index + 2}`;
    const said = (column: Column) => (row[column] ?? '').trim();
    const name = said('name')
      .replace(/^'(?=[=+@-])/, '')
      .slice(0, 80);
    const line =
      lines.find(({ id }) => id === said('id')) ??
      lines.find((one) => one.name.toLowerCase() === name.toLowerCase());
    if (!line && name === '') throw refusal(`${at}, name`, 'makeList.unnamed');
    const entry: ListEntry = line ? { ...line.said, id: line.id } : { id: `own.${newId()}`, name };
    const source = said('source').toLowerCase();
    if (source !== '' && !(SOURCES as readonly string[]).includes(source))
      throw refusal(`${at}, source`, 'makeList.source', {
        source: source.slice(0, 30),
        sources: SOURCES.join(', '),
      });
    if (source !== '' && source !== line?.source) entry.source = source as ListEntry['source'];
    for (const [column, how] of Object.entries(NUMBERS) as [
      Column,
      NonNullable<(typeof NUMBERS)[Column]>,
    ][]) {
      const written = said(column);
      if (!columns.includes(column)) continue;
      if (written === '') {
        delete entry[how.key];
        continue;
      }
      const value = Number(written.replace(',', '.'));
      if (
        !Number.isFinite(value) ||
        value < 0 ||
        value > how.most ||
        (how.above && value === 0) ||
        (how.whole && !Number.isInteger(value))
      )
        throw refusal(`${at}, ${column}`, 'makeList.number', {
          written: written.slice(0, 30),
          whole: how.whole === true,
          most: how.most,
        });
      if (value !== rounded(line?.[how.key])) entry[how.key] = value;
    }
    if (seen.has(entry.id)) throw refusal(at, 'makeList.twice', { name: line?.name ?? name });
    seen.add(entry.id);
    return entry;
  });
}

import { refusal } from '../../base/errors';
import {
  cellsOf,
  clockIn,
  type DecimalMark,
  decimalOf,
  eachCell,
  isMissing,
  linesOf,
  numberIn,
  type Separator,
  separatorOf,
} from './cells';

declare module '../../base/errors' {
  interface RefusalFacts {
    'log.lengths': Record<never, never>;
    'log.oneForm': Record<never, never>;
    'log.empty': Record<never, never>;
  }
}

/** A log as text, or its columns as numbers. */
export interface LogSource {
  text?: string;
  columns?: Readonly<Record<string, readonly number[]>>;
  separator?: Separator;
  decimal?: DecimalMark;
}

/** Names, units and cells of a log before anything is known about them. */
export interface LogTable {
  separator?: Separator;
  decimal?: DecimalMark;
  hasHeader: boolean;
  names: string[];
  units: (string | undefined)[];
  /** Of each column; NaN where a cell is missing or is no number. */
  numbers: Float64Array[];
  /** Times of a column whose cells are clock times, s; undefined for columns of numbers. */
  clocks(column: number): Float64Array | undefined;
  /** Cells of a column that hold text which is no number. */
  badIn: number[];
  raggedRows: number;
  rows: number;
}

const UNIT = /^(.*?)\s*[[(]([^\])]*)[\])]\s*$/;

/** A name with the unit that stands in brackets behind it. */
function named(text: string): { name: string; unit?: string } {
  const found = UNIT.exec(text);
  return found && found[1]! !== ''
    ? { name: found[1]!.trim(), unit: found[2]!.trim() }
    : { name: text.trim() };
}

/** Names that occur again are counted. */
function counted(names: readonly string[]): string[] {
  const seen = new Map<string, number>();
  return names.map((name) => {
    const count = (seen.get(name) ?? 0) + 1;
    seen.set(name, count);
    return count === 1 ? name : `${name} ${count}`;
  });
}

/**
 * The cells of a log.
 *
 * @param at path before its fields, "" or "second."
 * @throws CalcError at `text` for both or neither, and for a log without a row; at a column of another length
 */
export function tableOf(source: LogSource, at: string): LogTable {
  const { text, columns } = source;
  if ((text === undefined) === (columns === undefined)) throw refusal(`${at}text`, 'log.oneForm');
  return columns ? ofColumns(columns, at) : ofText(source, at);
}

function ofColumns(columns: Readonly<Record<string, readonly number[]>>, at: string): LogTable {
  const keys = Object.keys(columns);
  const rows = columns[keys[0]!]?.length ?? 0;
  const uneven = keys.find((key) => columns[key]!.length !== rows);
  if (uneven !== undefined) throw refusal(`${at}columns.${uneven}`, 'log.lengths');
  const heads = keys.map(named);
  return {
    hasHeader: true,
    names: counted(heads.map(({ name }) => name)),
    units: heads.map(({ unit }) => unit),
    numbers: keys.map((key) => Float64Array.from(columns[key]!)),
    clocks: () => undefined,
    badIn: keys.map(() => 0),
    raggedRows: 0,
    rows,
  };
}

function ofText(source: LogSource, at: string): LogTable {
  const lines = linesOf(source.text!);
  if (lines.length === 0) throw refusal(`${at}text`, 'log.empty');
  const separator = source.separator ?? separatorOf(lines);
  const decimal = source.decimal ?? decimalOf(lines, separator);
  const isHead = (cells: readonly string[]) =>
    cells.every((cell) => numberIn(cell, decimal) === undefined && clockIn(cell, decimal) === undefined) &&
    cells.some((cell) => !isMissing(cell));
  const first = cellsOf(lines[0]!, separator);
  const hasHeader = isHead(first);
  const second = hasHeader && lines.length > 2 ? cellsOf(lines[1]!, separator) : undefined;
  const unitLine = second && isHead(second) ? second : undefined;
  const from = (hasHeader ? 1 : 0) + (unitLine ? 1 : 0);
  const data = lines.slice(from);
  const widthOf = (line: string) => eachCell(line, separator, () => undefined);
  const width = hasHeader ? first.length : data.reduce((most, line) => Math.max(most, widthOf(line)), 0);
  const heads = Array.from({ length: width }, (_, k) =>
    hasHeader && first[k] !== '' ? named(first[k]!) : { name: `c${k + 1}` },
  );
  const badIn = new Array<number>(width).fill(0);
  const numbers = heads.map(() => new Float64Array(data.length).fill(NaN));
  let raggedRows = 0;
  data.forEach((line, row) => {
    const count = eachCell(line, separator, (cell, column) => {
      if (column >= width) return;
      const value = numberIn(cell, decimal);
      if (value !== undefined) numbers[column]![row] = value;
      else if (!isMissing(cell)) badIn[column]!++;
    });
    if (count !== width) raggedRows++;
  });
  const bare = (unit: string | undefined) => unit?.replace(/^[[(]|[\])]$/g, '').trim();
  return {
    separator,
    decimal,
    hasHeader,
    names: counted(heads.map(({ name }) => name)),
    units: heads.map((head, k) => ('unit' in head ? head.unit : bare(unitLine?.[k]) || undefined)),
    numbers,
    clocks: (column) =>
      numbers[column]!.every(Number.isNaN)
        ? clocksIn(
            data.map((line) => cellsOf(line, separator)[column] ?? ''),
            decimal,
          )
        : undefined,
    badIn,
    raggedRows,
    rows: data.length,
  };
}

/** Clock times of the cells of a column, NaN where a cell is none; nothing for a column that has none at all. */
function clocksIn(cells: readonly string[], decimal: DecimalMark): Float64Array | undefined {
  const times = Float64Array.from(cells, (cell) => clockIn(cell, decimal) ?? NaN);
  return times.some((time) => !Number.isNaN(time)) ? times : undefined;
}

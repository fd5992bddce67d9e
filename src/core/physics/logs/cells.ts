export const SEPARATORS = [';', '\t', ',', '|', ' '] as const;
export type Separator = (typeof SEPARATORS)[number];
export type DecimalMark = '.' | ',';

const [SEPARATOR_LINES, DECIMAL_LINES] = [20, 50];
const COMMENT = /^\s*(#|\/\/)/;

/** Lines that say something: blank ones and comments are passed over. */
export const linesOf = (text: string): string[] =>
  text.split(/\r\n|\n|\r/).filter((line) => line.trim() !== '' && !COMMENT.test(line));

/** The cells of a line, trimmed; a quote within quotes is written twice. */
export function cellsOf(line: string, separator: Separator): string[] {
  if (separator === ' ') return line.trim().split(/\s+/);
  if (!line.includes('"')) return line.split(separator).map((cell) => cell.trim());
  const cells: string[] = [];
  let [cell, quoted] = ['', false];
  for (let at = 0; at < line.length; at++) {
    const mark = line[at]!;
    if (mark === '"') {
      if (quoted && line[at + 1] === '"') {
        cell += '"';
        at++;
      } else quoted = !quoted;
    } else if (mark === separator && !quoted) {
      cells.push(cell.trim());
      cell = '';
    } else cell += mark;
  }
  return [...cells, cell.trim()];
}

/** How often a mark stands outside quotes. */
function countOutside(line: string, mark: string): number {
  let [count, quoted] = [0, false];
  for (const one of line) {
    if (one === '"') quoted = !quoted;
    else if (one === mark && !quoted) count++;
  }
  return count;
}

/** The mark whose commonest count over nothing the most lines share; white space where none occurs. */
export function separatorOf(lines: readonly string[]): Separator {
  const first = lines.slice(0, SEPARATOR_LINES);
  let [best, most]: [Separator, number] = [' ', 0];
  for (const mark of SEPARATORS) {
    if (mark === ' ') continue;
    const counts = new Map<number, number>();
    for (const line of first) {
      const count = countOutside(line, mark);
      if (count > 0) counts.set(count, (counts.get(count) ?? 0) + 1);
    }
    const shared = Math.max(0, ...counts.values());
    if (shared > most) [best, most] = [mark, shared];
  }
  return best;
}

/** The mark before the fraction: whichever more cells are written with. */
export function decimalOf(lines: readonly string[], separator: Separator): DecimalMark {
  if (separator === ',') return '.';
  let balance = 0;
  for (const line of lines.slice(0, DECIMAL_LINES))
    for (const cell of cellsOf(line, separator)) {
      if (/^[+-]?\d+,\d+$/.test(cell)) balance++;
      if (/^[+-]?\d+\.\d+$/.test(cell)) balance--;
    }
  return balance > 0 ? ',' : '.';
}

const MISSING: ReadonlySet<string> = new Set(['', '-', 'nan', 'null', 'n/a']);

export const isMissing = (cell: string): boolean => MISSING.has(cell.toLowerCase());

/** The number that a cell is; nothing for text. */
export function numberIn(cell: string, decimal: DecimalMark): number | undefined {
  const plain = decimal === ',' ? cell.replace(',', '.') : cell;
  if (!BEGINS.has(plain.charCodeAt(0)) || OTHER_BASES.has(plain.charCodeAt(1))) return undefined;
  const value = Number(plain);
  return Number.isFinite(value) ? value : undefined;
}

/** A number begins with a digit, a sign or a point; what follows a first zero may make it one of another base. */
const codes = (marks: string): ReadonlySet<number> => new Set([...marks].map((mark) => mark.charCodeAt(0)));
const BEGINS = codes('0123456789+-.');
const OTHER_BASES = codes('xXbBoO');

/** Hands out the cells of a line that has no quotes, without keeping them. */
export function eachCell(
  line: string,
  separator: Separator,
  visit: (cell: string, column: number) => void,
): number {
  if (separator === ' ' || line.includes('"')) {
    const cells = cellsOf(line, separator);
    cells.forEach(visit);
    return cells.length;
  }
  let [from, column] = [0, 0];
  for (;;) {
    const to = line.indexOf(separator, from);
    visit(line.slice(from, to < 0 ? line.length : to).trim(), column++);
    if (to < 0) return column;
    from = to + 1;
  }
}

const CLOCK = /^(?:(\d+):)?(\d{1,4}):(\d{1,2}(?:\.\d+)?)$/;
const ISO = /^\d{4}-\d{2}-\d{2}([T ]\d{2}:\d{2}(:\d{2}(\.\d+)?)?)?(Z|[+-]\d{2}:?\d{2})?$/;

/** Seconds of a clock time, h:m:s or m:s, or of an ISO 8601 date; nothing for other text. */
export function clockIn(cell: string, decimal: DecimalMark): number | undefined {
  const plain = decimal === ',' ? cell.replace(',', '.') : cell;
  const clock = CLOCK.exec(plain);
  if (clock) return Number(clock[1] ?? 0) * 3600 + Number(clock[2]) * 60 + Number(clock[3]);
  const iso = ISO.exec(plain);
  if (!iso) return undefined;
  const day = plain.replace(' ', 'T');
  const ms = Date.parse(iso[4] || !iso[1] ? day : `${day}Z`);
  return Number.isFinite(ms) ? ms / 1000 : undefined;
}

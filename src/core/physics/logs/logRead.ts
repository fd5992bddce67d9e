import { refusal } from '../../base/errors';
import { type Finding, finding } from '../../base/finding';
import type { DecimalMark, Separator } from './cells';
import { farS, resampled } from './resample';
import { guessOf, type Guess, LOG_ROLES, type LogRole, wordsOf } from './roles';
import { type LogSync, type Signal, SYNC_ROLES, syncOf } from './sync';
import { type LogSource, type LogTable, tableOf } from './table';
import { middleOf, type Timed, timedBy } from './timed';

declare module '../../base/errors' {
  interface RefusalFacts {
    'log.role': Record<never, never>;
    'log.noColumn': { names: readonly string[] };
    'log.noTime': Record<never, never>;
  }
}
declare module '../../base/finding' {
  interface FindingFacts {
    'note.log.erpm': { column: string };
    'note.log.timeUnit': { unit: string };
    'note.log.timeGuessed': { column: string };
    'note.log.noSync': Record<never, never>;
  }
}

export type LogRoles = Readonly<Partial<Record<LogRole, string>>>;

export interface OneLog extends LogSource {
  roles?: LogRoles;
}

export interface LogReadInput extends OneLog {
  resampleHz?: number;
  second?: OneLog;
  maxOffsetS?: number;
}

/** A column in its own unit. */
export interface LogColumn {
  name: string;
  unit?: string;
  role?: LogRole;
  confidence?: number;
  n: number;
  missing: number;
  min?: number;
  max?: number;
  mean?: number;
  sd?: number;
}

export interface LogSummary {
  separator?: Separator;
  decimal?: DecimalMark;
  hasHeader: boolean;
  rows: number;
  timeUnit: string;
  durationS: number;
  rateHz: number;
  gaps: number;
  longestGapS?: number;
  badCells: number;
  raggedRows: number;
  noTime: number;
  outOfOrder: number;
  duplicateTimes: number;
  columns: LogColumn[];
  roles: Partial<Record<LogRole, { name: string; confidence: number }>>;
  warnings: Finding[];
}

export interface LogReadResult extends LogSummary {
  series?: Record<string, number[]>;
  second?: LogSummary;
  sync?: LogSync;
}

/** A log as a page draws it: its times, and its columns in that order. */
export interface ReadLog {
  summary: LogSummary;
  tS: number[];
  /** NaN where missing. */
  columnOf(role: LogRole): Float64Array | undefined;
  medianStepS: number;
}

const [CERTAIN, BY_PLACE] = [1, 0.4];
const [USUAL_MAX_OFFSET_S, LEAST_ROWS] = [30, 2];

/**
 * A log of any controller, gyro or recorder: separator, decimal mark, header, units, what each column is, times, gaps; at
 * equal steps where wished, and a second one laid on it.
 *
 * @throws CalcError at `text`, `columns` or a column of them, at a role or column that is not there; paths of the second log
 * begin with `second.`
 */
export function logRead(input: LogReadInput): LogReadResult {
  const first = readLog(input, '');
  const { summary, tS, medianStepS } = first;
  const second = input.second ? readLog(input.second, 'second.') : undefined;
  const roles = LOG_ROLES.filter((role) => role !== 'time' && summary.roles[role]);
  const sync = second ? laidOn(first, second, input.maxOffsetS ?? USUAL_MAX_OFFSET_S) : undefined;
  return {
    ...summary,
    ...(second && !sync ? { warnings: [...summary.warnings, finding('note.log.noSync', {})] } : {}),
    ...(input.resampleHz === undefined
      ? {}
      : {
          series: resampled(
            input.resampleHz,
            tS,
            roles.map((role) => ({ role, values: first.columnOf(role)! })),
            medianStepS,
          ),
        }),
    ...(second ? { second: second.summary } : {}),
    ...(sync ? { sync } : {}),
  };
}

function laidOn(first: ReadLog, second: ReadLog, maxOffsetS: number): LogSync | undefined {
  const signalOf = ({ columnOf, tS }: ReadLog): Signal | undefined => {
    const role = SYNC_ROLES.find((one) => columnOf(one));
    return role ? { role, tS, values: columnOf(role)! } : undefined;
  };
  const [a, b] = [signalOf(first), signalOf(second)];
  return a && b ? syncOf(a, b, maxOffsetS) : undefined;
}

/** One log with its columns in the order of its times. */
export function readLog(input: OneLog, at: string): ReadLog {
  const table = tableOf(input, at);
  const guesses = rolesOf(table, input.roles ?? {}, at);
  const time = timesOf(table, guesses, `${at}${input.columns ? 'columns' : 'text'}`);
  const { timed, column: timeColumn, isClock, byPlace } = time;
  if (byPlace) guesses[timeColumn] = { role: 'time', confidence: BY_PLACE };
  const { order, tS } = timed;
  const asTheyCame = order.length === table.rows && timed.outOfOrder === 0;
  const inOrder = (column: number): Float64Array => {
    const values = table.numbers[column]!;
    if (asTheyCame) return values;
    const sorted = new Float64Array(order.length);
    for (let k = 0; k < order.length; k++) sorted[k] = values[order[k]!]!;
    return sorted;
  };
  const steps = new Float64Array(tS.length - 1);
  for (let k = 0; k < steps.length; k++) steps[k] = tS[k + 1]! - tS[k]!;
  const medianStepS = middleOf(steps);
  const gaps = steps.filter((step) => step > farS(medianStepS));
  const columnAt = (role: LogRole) => guesses.findIndex((guess) => guess?.role === role);
  const ordered = new Map<number, Float64Array>();
  const once = (column: number) => {
    const known = ordered.get(column) ?? inOrder(column);
    ordered.set(column, known);
    return known;
  };
  const names = table.names;
  const erpm = guesses.findIndex((guess, k) => guess?.role === 'rpm' && wordsOf(names[k]!).includes('erpm'));
  return {
    tS: timed.tS,
    medianStepS,
    columnOf: (role) => {
      const column = columnAt(role);
      return column < 0 ? undefined : once(column);
    },
    summary: {
      ...(table.separator === undefined ? {} : { separator: table.separator, decimal: table.decimal! }),
      hasHeader: table.hasHeader,
      rows: timed.tS.length,
      timeUnit: timed.timeUnit,
      durationS: timed.tS[timed.tS.length - 1]!,
      rateHz: 1 / medianStepS,
      gaps: gaps.length,
      ...(gaps.length > 0 ? { longestGapS: gaps.reduce((a, b) => Math.max(a, b)) } : {}),
      badCells: table.badIn.reduce((sum, bad, k) => sum + (k === timeColumn ? 0 : bad), 0),
      raggedRows: table.raggedRows,
      noTime: timed.noTime,
      outOfOrder: timed.outOfOrder,
      duplicateTimes: timed.duplicateTimes,
      columns: names.map((name, k) =>
        described(
          name,
          k === timeColumn ? 's' : table.units[k],
          guesses[k],
          k === timeColumn ? Float64Array.from(timed.tS) : once(k),
        ),
      ),
      roles: Object.fromEntries(
        guesses.flatMap((guess, k) =>
          guess ? [[guess.role, { name: names[k]!, confidence: guess.confidence }]] : [],
        ),
      ),
      warnings: [
        ...(byPlace ? [finding('note.log.timeGuessed', { column: names[timeColumn]! })] : []),
        ...(timed.assumed && !isClock ? [finding('note.log.timeUnit', { unit: timed.timeUnit })] : []),
        ...(erpm >= 0 ? [finding('note.log.erpm', { column: names[erpm]! })] : []),
      ],
    },
  };
}

/** What each column is: as said, else the surest guess of each role. */
function rolesOf(table: LogTable, said: LogRoles, at: string): (Guess | undefined)[] {
  const given = new Map<number, LogRole>();
  for (const [role, name] of Object.entries(said)) {
    const known = LOG_ROLES.find((one) => one === role);
    if (!known) throw refusal(`${at}roles.${role}`, 'log.role');
    const column = table.names.indexOf(name);
    if (column < 0) throw refusal(`${at}roles.${role}`, 'log.noColumn', { names: table.names });
    given.set(column, known);
  }
  const taken = new Set(given.values());
  const guesses = table.names.map((name, k): Guess | undefined => {
    const own = given.get(k);
    if (own) return { role: own, confidence: CERTAIN };
    const guess = guessOf(name, table.units[k]);
    return guess && taken.has(guess.role) ? undefined : guess;
  });
  const surest = new Map<LogRole, number>();
  guesses.forEach((guess, k) => {
    if (!guess) return;
    const best = surest.get(guess.role);
    if (best === undefined || guess.confidence > guesses[best]!.confidence) surest.set(guess.role, k);
  });
  return guesses.map((guess, k) => (guess && surest.get(guess.role) === k ? guess : undefined));
}

/** The times of a log, by the column that is said to be them, else by the first one where it only rises. */
function timesOf(
  table: LogTable,
  guesses: readonly (Guess | undefined)[],
  at: string,
): { timed: Timed; column: number; isClock: boolean; byPlace: boolean } {
  const byRole = guesses.findIndex((guess) => guess?.role === 'time');
  const first = table.numbers[0];
  const rises =
    first !== undefined &&
    guesses[0] === undefined &&
    first.every((value, k) => !Number.isNaN(value) && (k === 0 || value > first[k - 1]!));
  if (byRole < 0 && !rises) throw refusal(at, 'log.noTime');
  const column = Math.max(0, byRole);
  const clocks = byRole < 0 ? undefined : table.clocks(column);
  const timed = timedBy(clocks ?? table.numbers[column]!, table.units[column], clocks !== undefined);
  if (timed.tS.length < LEAST_ROWS) throw refusal(at, 'log.noTime');
  return { timed, column, isClock: clocks !== undefined, byPlace: byRole < 0 };
}

function described(
  name: string,
  unit: string | undefined,
  guess: Guess | undefined,
  values: Float64Array,
): LogColumn {
  let [n, sum, min, max] = [0, 0, Infinity, -Infinity];
  for (const value of values) {
    if (Number.isNaN(value)) continue;
    n++;
    sum += value;
    if (value < min) min = value;
    if (value > max) max = value;
  }
  const mean = sum / n;
  let squares = 0;
  for (const value of values) if (!Number.isNaN(value)) squares += (value - mean) ** 2;
  return {
    name,
    ...(unit === undefined ? {} : { unit }),
    ...(guess ? { role: guess.role, confidence: guess.confidence } : {}),
    n,
    missing: values.length - n,
    ...(n > 0 ? { min, max, mean } : {}),
    ...(n > 1 ? { sd: Math.sqrt(squares / (n - 1)) } : {}),
  };
}

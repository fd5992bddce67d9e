import { plainUnit } from './roles';

/** Rows of a log in the order of their times, which count from the first, s. */
export interface Timed {
  tS: number[];
  /** Rows as they came, in that order. */
  order: number[];
  timeUnit: string;
  /** The unit was guessed. */
  assumed: boolean;
  noTime: number;
  outOfOrder: number;
  duplicateTimes: number;
}

const SECONDS: Readonly<Record<string, number>> = { s: 1, sec: 1, ms: 1e-3, us: 1e-6, min: 60, h: 3600 };
/** Steps of whole numbers from here on are milliseconds. */
const LEAST_MS_STEP = 5;

/** Of numbers that are all there. */
export function middleOf(values: Float64Array): number {
  const sorted = values.slice().sort();
  const half = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
}

function unitOf(values: Float64Array, unit: string | undefined): { timeUnit: string; assumed: boolean } {
  const plain = unit === undefined ? undefined : plainUnit(unit);
  if (plain !== undefined && plain in SECONDS) return { timeUnit: plain, assumed: false };
  const steps = new Float64Array(values.length);
  let [count, before, whole] = [0, NaN, true];
  for (const value of values) {
    if (Number.isNaN(value)) continue;
    if (!Number.isInteger(value)) whole = false;
    if (value > before) steps[count++] = value - before;
    before = value;
  }
  const isMs = whole && count > 0 && middleOf(steps.subarray(0, count)) >= LEAST_MS_STEP;
  return { timeUnit: isMs ? 'ms' : 's', assumed: true };
}

/** Sorts the rows by their times; of equal ones the first stays. */
export function timedBy(values: Float64Array, unit: string | undefined, clock: boolean): Timed {
  const { timeUnit, assumed } = clock ? { timeUnit: 'clock', assumed: false } : unitOf(values, unit);
  const seconds = clock ? 1 : SECONDS[timeUnit]!;
  const rows: number[] = [];
  let [outOfOrder, before] = [0, -Infinity];
  for (let row = 0; row < values.length; row++) {
    const value = values[row]!;
    if (Number.isNaN(value)) continue;
    rows.push(row);
    if (value < before) outOfOrder++;
    before = value;
  }
  const noTime = values.length - rows.length;
  if (outOfOrder > 0) rows.sort((a, b) => values[a]! - values[b]! || a - b);
  const order: number[] = [];
  const tS: number[] = [];
  for (const row of rows) {
    if (order.length > 0 && values[row] === values[order[order.length - 1]!]) continue;
    order.push(row);
    tS.push((values[row]! - values[order[0]!]!) * seconds);
  }
  return { tS, order, timeUnit, assumed, noTime, outOfOrder, duplicateTimes: rows.length - order.length };
}

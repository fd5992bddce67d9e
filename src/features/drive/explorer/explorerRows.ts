import { paretoSet } from '@/core/physics/search/pareto';
import type { RatioRange, SweepRow } from '@/core/physics/search/sweep';
import { itemsOf } from '@/core/car/library/items';
import { type LibraryItem } from '@/core/car/library/kinds';

/** A combination with the names that a person reads. */
export interface NamedRow extends SweepRow {
  readonly id: number;
  readonly motor: string;
  readonly pack: string;
  /** No other beats it in speed, time and heat at once. */
  readonly best: boolean;
}

/** Rows with names, their place in the sweep as their id. */
export function namedRows(rows: readonly SweepRow[], library: readonly LibraryItem[]): NamedRow[] {
  const motors = new Map(itemsOf(library, 'motor').map(({ id, data }) => [id, data.name]));
  const packs = new Map(itemsOf(library, 'battery').map(({ id, data }) => [id, data.name]));
  const best = new Set(paretoSet(rows));
  return rows.map((row, id) => ({
    ...row,
    id,
    motor: motors.get(row.motorId) ?? row.motorId,
    pack: packs.get(row.batteryId) ?? row.batteryId,
    best: best.has(id),
  }));
}

/** The one to start from: of those that meet the wish, or else of the best, what exchanges least, then the coolest. */
export function startingRow(
  rows: readonly NamedRow[],
  motorId: string | undefined,
  batteryId: string | undefined,
): number | undefined {
  const meeting = rows.filter(({ meetsGoal }) => meetsGoal);
  const among = meeting.length > 0 ? meeting : rows.filter(({ best }) => best);
  const exchanged = (row: NamedRow) => Number(row.motorId !== motorId) + Number(row.batteryId !== batteryId);
  const before = (a: NamedRow, b: NamedRow) =>
    exchanged(a) - exchanged(b) || (a.steadyCaseC ?? Infinity) - (b.steadyCaseC ?? Infinity);
  return among.reduce<NamedRow | undefined>((a, b) => (a && before(a, b) <= 0 ? a : b), undefined)?.id;
}

const RATIOS = 24;

/** From half the present ratio to twice it, in about twenty-four steps of a round size. */
export function usualRange(present: number): RatioRange {
  const [from, to] = [Math.max(1, Math.round(present / 2)), Math.max(2, Math.round(present * 2))];
  const step = Math.max(0.1, Math.round(((to - from) / RATIOS) * 10) / 10);
  return { from, to, step };
}

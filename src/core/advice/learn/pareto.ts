import { failuresEver, type PartLife } from '../../worked/field/lives';

export const PARETO_BY = ['count', 'time', 'cost'] as const;
export type ParetoBy = (typeof PARETO_BY)[number];

export interface ParetoRow {
  partId: string;
  name: string;
  value: number;
  /** Of all, and with those before it. */
  share: number;
  cumulative: number;
}

const VALUES: Readonly<Record<ParetoBy, (life: PartLife) => number>> = {
  count: failuresEver,
  time: ({ lostMinutes }) => lostMinutes,
  cost: ({ cost = 0 }) => cost,
};

/**
 * What fails most, the largest first, with how much of everything the first ones make; minutes for the time,
 * the build's money for the cost.
 */
export function paretoOf(lives: readonly PartLife[], by: ParetoBy): ParetoRow[] {
  const rows = lives
    .map((life) => ({ partId: life.partId, name: life.name, value: VALUES[by](life) }))
    .filter(({ value }) => value > 0)
    .sort((a, b) => b.value - a.value);
  const all = rows.reduce((sum, { value }) => sum + value, 0);
  let before = 0;
  return rows.map((row) => {
    before += row.value;
    return { ...row, share: row.value / all, cumulative: before / all };
  });
}

import { BATTERY } from './budgetDefinition';

interface Fed {
  readonly id: string;
}

/** Column and row of each thing in the supply tree, the pack first; a ring that hangs on nothing stands in the second column. */
export function treeLayout(
  rails: readonly (Fed & { readonly from: string })[],
  loads: readonly (Fed & { readonly rail: string })[],
  onPack: readonly string[],
): Map<string, { depth: number; row: number }> {
  const place = new Map<string, { depth: number; row: number }>();
  let next = 0;
  const put = (id: string, depth: number): number => {
    place.set(id, { depth, row: 0 });
    const children = [
      ...(id === BATTERY ? onPack : []),
      ...rails.filter(({ from }) => from === id).map((rail) => rail.id),
      ...loads.filter(({ rail }) => rail === id).map((load) => load.id),
    ].filter((child) => !place.has(child));
    const rows = children.map((child) => put(child, depth + 1));
    const row = rows.length === 0 ? next++ : (rows[0]! + rows.at(-1)!) / 2;
    place.set(id, { depth, row });
    return row;
  };
  put(BATTERY, 0);
  for (const { id } of [...rails, ...loads]) if (!place.has(id)) put(id, 1);
  return place;
}

/** Whether a rail that is fed from another would end up feeding itself. */
export function feedsItself(
  rails: readonly (Fed & { readonly from: string })[],
  id: string,
  from: string,
): boolean {
  const seen = new Set<string>();
  for (
    let at = from;
    at !== BATTERY && !seen.has(at);
    at = rails.find((rail) => rail.id === at)?.from ?? BATTERY
  ) {
    if (at === id) return true;
    seen.add(at);
  }
  return false;
}

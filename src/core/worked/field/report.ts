import type { RunReport, Temperature } from '../../car/records/report';

/** The hottest reading of each place. */
export function hottest(temperatures: readonly Temperature[] = []): Temperature[] {
  const found = new Map<string, Temperature>();
  for (const one of temperatures)
    if ((found.get(one.place)?.valueC ?? -Infinity) < one.valueC) found.set(one.place, one);
  return [...found.values()];
}

/** Lowest height at which it failed, and the highest that it held; none where there is none. */
export function dropLimit({ drops = [] }: RunReport): { heldM?: number; failedM?: number } {
  const held = drops.filter(({ outcome }) => outcome !== 'failed').map(({ heightM }) => heightM);
  const failed = drops.filter(({ outcome }) => outcome === 'failed').map(({ heightM }) => heightM);
  return {
    ...(held.length > 0 ? { heldM: Math.max(...held) } : {}),
    ...(failed.length > 0 ? { failedM: Math.min(...failed) } : {}),
  };
}

/** Growth of a spun tyre over its smallest reading, share. */
export function growthOf({ spins = [] }: RunReport): number | undefined {
  if (spins.length < 2) return undefined;
  const slow = spins.reduce((a, b) => (b.rpm < a.rpm ? b : a));
  const fast = spins.reduce((a, b) => (b.rpm > a.rpm ? b : a));
  return fast.diameterMm / slow.diameterMm - 1;
}

interface Measured {
  topSpeedMps?: number;
  timeToDistanceS?: number;
  steadyCaseC?: number;
}

/** As three figures of which less is better; a missing one is the worst. */
const costsOf = ({ topSpeedMps = -Infinity, timeToDistanceS = Infinity, steadyCaseC = Infinity }: Measured) =>
  [-topSpeedMps, timeToDistanceS, steadyCaseC] as const;

/**
 * Indices, rising, of the rows that no other row beats: none is as good in speed, time and heat and better in one of them.
 *
 * Sorted by the first measure, a row can only be beaten by one before it.
 * @see Deb, Multi-Objective Optimization using Evolutionary Algorithms, ch. 2
 */
export function paretoSet(rows: readonly Measured[]): number[] {
  const costs = rows.map(costsOf);
  const order = costs.map((_, index) => index).sort((a, b) => less(costs[a]!, costs[b]!) || a - b);
  const front: number[] = [];
  for (const index of order) {
    if (!front.some((kept) => beats(costs[kept]!, costs[index]!))) front.push(index);
  }
  return front.sort((a, b) => a - b);
}

type Costs = ReturnType<typeof costsOf>;

function less(a: Costs, b: Costs): number {
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return a[i]! < b[i]! ? -1 : 1;
  return 0;
}

function beats(a: Costs, b: Costs): boolean {
  return a.every((cost, i) => cost <= b[i]!) && a.some((cost, i) => cost < b[i]!);
}

/** How many median steps apart neighbours may be for a value between them. */
const FAR_STEPS = 3;
/** Of a step: nearer than that an instant is a row's own. */
const SAME = 1e-9;

/**
 * Values of a column at instants, linear between the present neighbours.
 *
 * @param values NaN where missing
 * @param mostS how far apart neighbours may be
 * @returns NaN where an instant lacks them
 */
export function at(
  instants: ArrayLike<number>,
  tS: readonly number[],
  values: ArrayLike<number>,
  mostS: number,
): Float64Array {
  const present = tS.flatMap((_, row) => (Number.isNaN(values[row]!) ? [] : [row]));
  const found = new Float64Array(instants.length).fill(NaN);
  let next = 0;
  for (let k = 0; k < instants.length; k++) {
    const instant = instants[k]!;
    while (next < present.length && tS[present[next]!]! < instant - SAME) next++;
    const after = present[next];
    if (after === undefined) continue;
    if (Math.abs(tS[after]! - instant) <= SAME) {
      found[k] = values[after]!;
      continue;
    }
    const before = present[next - 1];
    if (before === undefined || tS[after]! - tS[before]! > mostS * (1 + SAME)) continue;
    const share = (instant - tS[before]!) / (tS[after]! - tS[before]!);
    found[k] = values[before]! + share * (values[after]! - values[before]!);
  }
  return found;
}

export const farS = (medianStepS: number): number => FAR_STEPS * medianStepS;

/** Columns at equal steps, instants at which one of them is not known left out. */
export function resampled(
  hz: number,
  tS: readonly number[],
  columns: readonly { role: string; values: ArrayLike<number> }[],
  medianStepS: number,
): Record<string, number[]> {
  const last = tS[tS.length - 1]!;
  const instants = Float64Array.from({ length: Math.floor(last * hz + SAME) + 1 }, (_, k) => k / hz);
  const found = columns.map(({ values }) => at(instants, tS, values, farS(medianStepS)));
  const kept = Array.from(instants.keys()).filter((k) => found.every((column) => !Number.isNaN(column[k]!)));
  return {
    tS: kept.map((k) => instants[k]!),
    ...Object.fromEntries(columns.map(({ role }, c) => [role, kept.map((k) => found[c]![k]!)])),
  };
}

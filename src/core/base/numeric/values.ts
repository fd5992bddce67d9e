/** Some values, or from + k·step below `to`, then `to`. */
export type Values =
  readonly number[] | { readonly from: number; readonly to: number; readonly step: number };

/** Each of the values; undefined where there are more than so many. */
export function spread(values: Values, most: number): readonly number[] | undefined {
  if (Array.isArray(values)) return values as readonly number[];
  const { from, to, step } = values as Exclude<Values, readonly number[]>;
  const below = Math.max(0, Math.ceil((to - from) / step - 1e-9));
  if (below > most) return undefined;
  return [...Array.from({ length: below }, (_, k) => from + k * step), to];
}

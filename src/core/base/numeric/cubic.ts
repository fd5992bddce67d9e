/** Between two points of an even grid, the cubic through the values and slopes of both (Hermite). */
export function cubicBetween(
  values: ArrayLike<number>,
  slopeAt: (index: number) => number,
  width: number,
  x: number,
): number {
  const at = Math.min(values.length - 2, Math.floor(x / width));
  const s = x / width - at;
  return (
    (2 * s ** 3 - 3 * s ** 2 + 1) * values[at]! +
    (s ** 3 - 2 * s ** 2 + s) * width * slopeAt(at) +
    (3 * s ** 2 - 2 * s ** 3) * values[at + 1]! +
    (s ** 3 - s ** 2) * width * slopeAt(at + 1)
  );
}

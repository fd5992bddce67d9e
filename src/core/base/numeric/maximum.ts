const GOLDEN = (Math.sqrt(5) - 1) / 2;

/**
 * Where a function with one hill is highest between two ends, by the golden section.
 *
 * @param within how near to the place it stops
 */
export function highest(
  f: (x: number) => number,
  low: number,
  high: number,
  within = 1e-9,
): { at: number; value: number } {
  let [a, b] = [low, high];
  let [x1, x2] = [b - GOLDEN * (b - a), a + GOLDEN * (b - a)];
  let [f1, f2] = [f(x1), f(x2)];
  while (b - a > within) {
    if (f1 < f2) {
      [a, x1, f1] = [x1, x2, f2];
      x2 = a + GOLDEN * (b - a);
      f2 = f(x2);
    } else {
      [b, x2, f2] = [x2, x1, f1];
      x1 = b - GOLDEN * (b - a);
      f1 = f(x1);
    }
  }
  const ends = [low, (a + b) / 2, high].map((at) => ({ at, value: f(at) }));
  return ends.reduce((best, one) => (one.value > best.value ? one : best));
}

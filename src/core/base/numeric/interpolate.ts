/**
 * Straight lines between points, held at both ends.
 *
 * @param points pairs [x, y] with x rising
 * @returns y at x
 */
export function interpolate(points: readonly (readonly [number, number])[], x: number): number {
  const first = points[0]!;
  if (x <= first[0]) return first[1];
  for (let i = 1; i < points.length; i++) {
    const [x1, y1] = points[i]!;
    if (x > x1) continue;
    const [x0, y0] = points[i - 1]!;
    return y0 + ((y1 - y0) * (x - x0)) / (x1 - x0);
  }
  return points[points.length - 1]![1];
}

type Point = readonly [x: number, y: number];

/** Where a line comes over itself first: both ways along it, m. */
export interface Crossing {
  atM: number;
  againM: number;
}

/**
 * The first place at which a line crosses itself; where its ends meet is none.
 *
 * @see de Berg et al., Computational Geometry, ch. 2 (two segments cross where each has its ends on both sides of the other)
 */
export function crossingOf(points: readonly Point[], closed: boolean): Crossing | undefined {
  const line = closed ? [...points, points[0]!] : points;
  const ways = [0];
  for (let at = 1; at < line.length; at++) ways.push(ways[at - 1]! + apart(line[at - 1]!, line[at]!));
  const edges = line.length - 1;
  for (let later = 2; later < edges; later++)
    for (let one = 0; one < later - 1; one++) {
      if (closed && one === 0 && later === edges - 1) continue;
      const share = crossedAt(line[one]!, line[one + 1]!, line[later]!, line[later + 1]!);
      if (share)
        return {
          atM: ways[one]! + share[0] * (ways[one + 1]! - ways[one]!),
          againM: ways[later]! + share[1] * (ways[later + 1]! - ways[later]!),
        };
    }
  return undefined;
}

const apart = (a: Point, b: Point) => Math.hypot(b[0] - a[0], b[1] - a[1]);

/** How far along each of two edges they cross, shares; nothing where they do not. */
function crossedAt(a: Point, b: Point, c: Point, d: Point): readonly [number, number] | undefined {
  const [rx, ry, sx, sy] = [b[0] - a[0], b[1] - a[1], d[0] - c[0], d[1] - c[1]];
  const across = rx * sy - ry * sx;
  if (Math.abs(across) < 1e-12) return undefined;
  const [x, y] = [c[0] - a[0], c[1] - a[1]];
  const [t, u] = [(x * sy - y * sx) / across, (x * ry - y * rx) / across];
  return t > 0 && t < 1 && u > 0 && u < 1 ? [t, u] : undefined;
}

import type { Link } from './definition';
import type { Places } from './fit';

const POWER_TURNS = 120;

/**
 * First places from all distances, those that were not read by the shortest way over those that were.
 *
 * @see Borg and Groenen, Modern Multidimensional Scaling, ch. 12 (classical scaling)
 */
export function scaled(count: number, links: readonly Link[]): Places {
  const d = new Float64Array(count * count).fill(Infinity);
  for (let at = 0; at < count; at++) d[at * count + at] = 0;
  for (const { i, j, mm } of links) d[i * count + j] = d[j * count + i] = Math.min(d[i * count + j]!, mm);
  for (let k = 0; k < count; k++)
    for (let i = 0; i < count; i++)
      for (let j = 0; j < count; j++)
        d[i * count + j] = Math.min(d[i * count + j]!, d[i * count + k]! + d[k * count + j]!);
  const longest = Math.max(1, ...d.filter(Number.isFinite));
  const squared = d.map((one) => (Number.isFinite(one) ? one : longest) ** 2);
  const rowMean = Array.from(
    { length: count },
    (_, i) => squared.subarray(i * count, (i + 1) * count).reduce((sum, one) => sum + one, 0) / count,
  );
  const whole = rowMean.reduce((sum, one) => sum + one, 0) / count;
  const b = squared.map(
    (one, at) => -0.5 * (one - rowMean[Math.floor(at / count)]! - rowMean[at % count]! + whole),
  );
  const places = new Float64Array(2 * count);
  for (let axis = 0; axis < 2; axis++) {
    const { vector, value } = largest(b, count, axis);
    for (let i = 0; i < count; i++) places[2 * i + axis] = vector[i]! * Math.sqrt(Math.max(0, value));
    for (let i = 0; i < count; i++)
      for (let j = 0; j < count; j++) b[i * count + j]! -= value * vector[i]! * vector[j]!;
  }
  return places;
}

function largest(b: Float64Array, n: number, axis: number): { vector: Float64Array; value: number } {
  let v = Float64Array.from({ length: n }, (_, at) => Math.cos(1 + 1.7 * at + axis));
  let value = 0;
  for (let turn = 0; turn < POWER_TURNS; turn++) {
    const next = Float64Array.from({ length: n }, (_, i) =>
      v.reduce((sum, one, j) => sum + b[i * n + j]! * one, 0),
    );
    const size = Math.sqrt(next.reduce((sum, one) => sum + one * one, 0));
    if (size === 0) return { vector: v, value: 0 };
    value = v.reduce((sum, one, at) => sum + one * next[at]!, 0);
    v = next.map((one) => one / size);
  }
  return { vector: v, value };
}

/** Moved and turned so that one hole lies at the origin and another on +x; mirrored where a third would lie below. */
export function anchored(p: Places, origin: number, axis: number, above: number | undefined): Places {
  const [ox, oy] = [p[2 * origin]!, p[2 * origin + 1]!];
  const [ax, ay] = [p[2 * axis]! - ox, p[2 * axis + 1]! - oy];
  const length = Math.hypot(ax, ay) || 1;
  const [c, s] = [ax / length, ay / length];
  const out = new Float64Array(p.length);
  for (let at = 0; at < p.length; at += 2) {
    const [x, y] = [p[at]! - ox, p[at + 1]! - oy];
    out[at] = c * x + s * y;
    out[at + 1] = c * y - s * x;
  }
  out[2 * axis + 1] = 0;
  if (above !== undefined && out[2 * above + 1]! < 0)
    for (let at = 1; at < out.length; at += 2) out[at] = -out[at]! + 0;
  return out;
}

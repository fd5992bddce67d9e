import type { Link } from './definition';

/** Places of the holes, x and y in turn; the origin hole at 0, 0 and the axis hole at y = 0. */
export type Places = Float64Array;

/** Which of the coordinates may move: all but the origin's and the axis hole's y. */
export function freeOf(count: number, origin: number, axis: number): number[] {
  const held = new Set([2 * origin, 2 * origin + 1, 2 * axis + 1]);
  return Array.from({ length: 2 * count }, (_, at) => at).filter((at) => !held.has(at));
}

export function chiSquareOf(links: readonly Link[], p: Places): number {
  let sum = 0;
  for (const { i, j, mm, sigma } of links)
    sum += ((Math.hypot(p[2 * i]! - p[2 * j]!, p[2 * i + 1]! - p[2 * j + 1]!) - mm) / sigma) ** 2;
  return sum;
}

/** Slopes of each weighted distance over the free coordinates, by rows of links. */
export function slopesOf(
  links: readonly Link[],
  p: Places,
  free: readonly number[],
  weighted = true,
): Float64Array {
  const place = new Int32Array(p.length).fill(-1);
  free.forEach((at, index) => {
    place[at] = index;
  });
  const rows = new Float64Array(links.length * free.length);
  links.forEach(({ i, j, sigma }, row) => {
    const [dx, dy] = [p[2 * i]! - p[2 * j]!, p[2 * i + 1]! - p[2 * j + 1]!];
    const length = Math.hypot(dx, dy) || 1e-12;
    const w = weighted ? 1 / sigma : 1;
    const put = (at: number, value: number) => {
      const column = place[at]!;
      if (column >= 0) rows[row * free.length + column] = value;
    };
    put(2 * i, (w * dx) / length);
    put(2 * i + 1, (w * dy) / length);
    put(2 * j, (-w * dx) / length);
    put(2 * j + 1, (-w * dy) / length);
  });
  return rows;
}

const [MOST_STEPS, START_DAMPING, LEAST_GAIN] = [80, 1e-3, 1e-13];

/**
 * Moves the free coordinates to the nearest minimum of the weighted squares.
 *
 * @see Levenberg; Marquardt; Nocedal and Wright, Numerical Optimization, ch. 10
 */
export function nearestFit(
  links: readonly Link[],
  start: Places,
  free: readonly number[],
  mostSteps = MOST_STEPS,
): { places: Places; chiSquare: number } {
  const n = free.length;
  let p: Places = start.slice();
  let chi = chiSquareOf(links, p);
  let damping = START_DAMPING;
  for (let step = 0; step < mostSteps && chi > LEAST_GAIN; step++) {
    const j = slopesOf(links, p, free);
    const [a, g] = [normalOf(j, links.length, n), new Float64Array(n)];
    links.forEach(({ i, j: k, mm, sigma }, row) => {
      const r = (Math.hypot(p[2 * i]! - p[2 * k]!, p[2 * i + 1]! - p[2 * k + 1]!) - mm) / sigma;
      for (let column = 0; column < n; column++) g[column]! += j[row * n + column]! * r;
    });
    let moved = false;
    for (let tries = 0; tries < 12; tries++) {
      const lifted = a.slice();
      for (let at = 0; at < n; at++) lifted[at * n + at]! += damping * (a[at * n + at]! + 1e-9);
      const factor = cholesky(lifted, n);
      if (factor) {
        const by = solveWith(factor, g, n);
        const next = p.slice();
        free.forEach((at, index) => {
          next[at]! -= by[index]!;
        });
        const found = chiSquareOf(links, next);
        if (found < chi) {
          const gain = chi - found;
          p = next;
          chi = found;
          damping = Math.max(1e-12, damping / 8);
          moved = gain > LEAST_GAIN * (1 + chi);
          break;
        }
      }
      damping *= 8;
    }
    if (!moved) break;
  }
  return { places: p, chiSquare: chi };
}

/** Jᵀ J. */
export function normalOf(j: Float64Array, rows: number, n: number): Float64Array {
  const a = new Float64Array(n * n);
  for (let row = 0; row < rows; row++)
    for (let p = 0; p < n; p++) {
      const value = j[row * n + p]!;
      if (value !== 0) for (let q = 0; q < n; q++) a[p * n + q]! += value * j[row * n + q]!;
    }
  return a;
}

/** Lower factor, or undefined where the matrix is not positive. */
export function cholesky(a: Float64Array, n: number): Float64Array | undefined {
  const l = new Float64Array(n * n);
  for (let i = 0; i < n; i++)
    for (let j = 0; j <= i; j++) {
      let sum = a[i * n + j]!;
      for (let k = 0; k < j; k++) sum -= l[i * n + k]! * l[j * n + k]!;
      if (i === j) {
        if (!(sum > 1e-14 * Math.max(1, a[i * n + i]!))) return undefined;
        l[i * n + i] = Math.sqrt(sum);
      } else l[i * n + j] = sum / l[j * n + j]!;
    }
  return l;
}

export function solveWith(l: Float64Array, b: Float64Array, n: number): Float64Array {
  const x = b.slice();
  for (let i = 0; i < n; i++) {
    for (let k = 0; k < i; k++) x[i]! -= l[i * n + k]! * x[k]!;
    x[i]! /= l[i * n + i]!;
  }
  for (let i = n - 1; i >= 0; i--) {
    for (let k = i + 1; k < n; k++) x[i]! -= l[k * n + i]! * x[k]!;
    x[i]! /= l[i * n + i]!;
  }
  return x;
}

/** (Jᵀ W J)⁻¹ over the free coordinates; undefined where this very shape is singular. */
export function covarianceOf(
  links: readonly Link[],
  places: Places,
  free: readonly number[],
): Float64Array | undefined {
  const n = free.length;
  const factor = cholesky(normalOf(slopesOf(links, places, free), links.length, n), n);
  if (!factor) return undefined;
  const out = new Float64Array(n * n);
  for (let column = 0; column < n; column++) {
    const unit = new Float64Array(n);
    unit[column] = 1;
    const solved = solveWith(factor, unit, n);
    for (let row = 0; row < n; row++) out[row * n + column] = solved[row]!;
  }
  return out;
}

import { randomFrom } from '../../../base/numeric/random';
import type { Link } from './definition';
import { freeOf, slopesOf } from './fit';

const NONE = 1e-9;

/** Whether the readings fix a pattern at a general position, and which holes can still move with origin and axis held. */
export function rigidityOf(
  count: number,
  links: readonly Link[],
  origin: number,
  axis: number,
  seed: number,
): { rigid: boolean; loose: number[] } {
  const random = randomFrom(seed);
  const places = Float64Array.from({ length: 2 * count }, () => random() - 0.5);
  places[2 * origin] = places[2 * origin + 1] = places[2 * axis + 1] = 0;
  const free = freeOf(count, origin, axis);
  const n = free.length;
  const rows = slopesOf(links, places, free, false);
  const pivots: number[] = [];
  let rank = 0;
  for (let column = 0; column < n && rank < links.length; column++) {
    let best = rank;
    for (let row = rank; row < links.length; row++)
      if (Math.abs(rows[row * n + column]!) > Math.abs(rows[best * n + column]!)) best = row;
    if (Math.abs(rows[best * n + column]!) < NONE) continue;
    for (let k = 0; k < n; k++)
      [rows[best * n + k], rows[rank * n + k]] = [rows[rank * n + k]!, rows[best * n + k]!];
    const pivot = rows[rank * n + column]!;
    for (let k = 0; k < n; k++) rows[rank * n + k]! /= pivot;
    for (let row = 0; row < links.length; row++) {
      const share = rows[row * n + column]!;
      if (row === rank || share === 0) continue;
      for (let k = 0; k < n; k++) rows[row * n + k]! -= share * rows[rank * n + k]!;
    }
    pivots.push(column);
    rank++;
  }
  const open = Array.from({ length: n }, (_, at) => at).filter((at) => !pivots.includes(at));
  const moving = new Set<number>();
  for (const column of open) {
    moving.add(Math.floor(free[column]! / 2));
    pivots.forEach((own, row) => {
      if (Math.abs(rows[row * n + column]!) > NONE) moving.add(Math.floor(free[own]! / 2));
    });
  }
  return { rigid: rank === n, loose: [...moving].sort((a, b) => a - b) };
}

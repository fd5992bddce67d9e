import type { ChartLine } from './chartProps';

/**
 * Where a line leaves what the axis shows.
 *
 * @param edge the end of the y axis, in the line's own unit
 * @returns the places on the x axis at which it crosses that end
 */
export function cutsOf({ xs, ys }: Pick<ChartLine, 'xs' | 'ys'>, edge: number): number[] {
  const found: number[] = [];
  for (let i = 1; i < xs.length; i++) {
    const [before, after] = [ys[i - 1]! - edge, ys[i]! - edge];
    if (before * after < 0) found.push(xs[i - 1]! + ((xs[i]! - xs[i - 1]!) * before) / (before - after));
  }
  return found;
}

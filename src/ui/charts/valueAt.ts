import type { ChartLine } from './chartProps';

/** What a line shows at a place of the x axis, straight between its points; nothing off its ends. */
export function valueAt({ xs, ys }: Pick<ChartLine, 'xs' | 'ys'>, x: number): number | undefined {
  for (let i = 0; i < xs.length; i++) {
    if (xs[i] === x) return ys[i];
    const [from, to] = [xs[i]!, xs[i + 1]];
    if (to === undefined || (x - from) * (x - to) > 0) continue;
    return ys[i]! + ((ys[i + 1]! - ys[i]!) * (x - from)) / (to - from || 1);
  }
  return undefined;
}

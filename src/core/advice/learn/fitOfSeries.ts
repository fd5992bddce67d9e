import { seriesFit, type SeriesResult } from '../../physics/bench/series';
import type { SeriesPoint } from './series';

/** What a series says of its setting: best value, how surely, and the next worth trying; nothing of a single value. */
export const fitOfSeries = (points: readonly SeriesPoint[]): SeriesResult | undefined =>
  points.length < 2
    ? undefined
    : seriesFit({
        points: points.map(({ setting, speeds }) => ({ x: setting, values: speeds })),
        better: 'higher',
      });

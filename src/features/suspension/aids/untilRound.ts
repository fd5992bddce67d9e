import type { YawResult, YawSeries } from '@/core/physics/aids/yawDefinition';

const cut = (series: YawSeries, atS: number): YawSeries => {
  const end = series.tS.findIndex((t) => t > atS);
  return end < 0
    ? series
    : (Object.fromEntries(
        Object.entries(series).map(([key, values]: [string, number[]]) => [key, values.slice(0, end)]),
      ) as unknown as YawSeries);
};

const shownOf = (result: YawResult): YawResult =>
  result.slide?.roundAtS === undefined
    ? result
    : { ...result, series: cut(result.series, result.slide.roundAtS) };

/** Both runs as a chart shows them: up to where the car stands across its path. */
export const untilRound = ({ assisted, bare }: { assisted: YawResult; bare: YawResult }) => ({
  assisted: shownOf(assisted),
  bare: shownOf(bare),
});

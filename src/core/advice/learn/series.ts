import { randomFrom } from '../../base/numeric/random';
import { runsSummary, type RunsSummaryResult } from '../../physics/statistics/runsSummary';
import type { RunSheet, TimedRun } from '../../car/records/records';
import { measuredOf } from '../../worked/field/measured';

/** A value that was set and what its passages showed. */
export interface SeriesPoint {
  setting: number;
  speeds: number[];
  summary: RunsSummaryResult;
}

/** Values each as often as asked, shuffled so that what drifts with time does not look like the setting (Fisher and Yates). */
export function shuffledOrder(values: readonly number[], times: number, seed: number): number[] {
  const order = values.flatMap((value) => Array.from({ length: times }, () => value));
  const random = randomFrom(seed);
  for (let at = order.length - 1; at > 0; at--) {
    const other = Math.floor(random() * (at + 1));
    [order[at], order[other]] = [order[other]!, order[at]!];
  }
  return order;
}

/** Speeds of a settings series by what was set, from the lowest value. */
export function seriesOf(run: Pick<TimedRun<RunSheet>, 'attempts' | 'conditions'>): SeriesPoint[] {
  const { attempts } = measuredOf(run);
  const by = new Map<number, number[]>();
  run.attempts.forEach(({ setting }, at) => {
    if (setting !== undefined) by.set(setting, [...(by.get(setting) ?? []), attempts[at]!.speedMps]);
  });
  return [...by]
    .sort(([a], [b]) => a - b)
    .map(([setting, speeds]) => ({ setting, speeds, summary: runsSummary({ values: speeds }) }));
}

/** Whether the values of a blind series may be seen: all of its order is driven. */
export const isRevealed = ({ attempts, report = {} }: Pick<RunSheet, 'attempts' | 'report'>): boolean =>
  report.blind !== true || attempts.length >= (report.order?.length ?? 0);

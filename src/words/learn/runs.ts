import { seriesOf } from '@/core/advice/learn/series';
import type { RunSheet, TimedRun } from '@/core/car/records/records';
import { formatNumber, formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { LeftOut, UnlikeBy } from '@/core/worked/field/alike';
import { counted, listed } from '../lists';

const UNLIKE: Readonly<Record<UnlikeBy, string>> = {
  surface: 'surface',
  payload: 'payload',
  runUp: 'run-up',
};

/** Runs that a mean does not hold, and by what they were unlike. */
export const leftOutWords = ({ runs, by }: LeftOut): string =>
  `${counted(runs, 'run')} with another ${listed(by.map((one) => UNLIKE[one]))} left out`;

/** What a settings series came to: its fastest setting, never one mean of all. */
export function seriesWords(run: TimedRun<RunSheet>, reader: Reader): string {
  const points = seriesOf(run);
  const best = points.reduce<(typeof points)[number] | undefined>(
    (a, b) => (!a || b.summary.mean > a.summary.mean ? b : a),
    undefined,
  );
  if (!best) return 'no attempt names its setting';
  const name = run.report?.settingName ?? 'setting';
  return `${name}: fastest at ${formatNumber(best.setting, reader.locale)}, ${formatText(best.summary.mean, 'speedMps', reader)}`;
}

import { seriesOf } from '@/core/advice/learn/series';
import type { RunSheet, TimedRun } from '@/core/car/records/records';
import { formatNumber, formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { LeftOut, UnlikeBy } from '@/core/worked/field/alike';
import type { Slalom, SlalomLimit } from '@/core/physics/handling/slalom';
import { counted, listed } from '../lists';

const UNLIKE: Readonly<Record<UnlikeBy, string>> = {
  surface: 'surface',
  payload: 'payload',
  runUp: 'run-up',
  gates: 'gates',
};

/** Runs that a mean does not hold, and by what they were unlike. */
export const leftOutWords = ({ runs, by }: LeftOut): string =>
  `${counted(runs, 'run')} with another ${listed(by.map((one) => UNLIKE[one]))} left out`;

const SLALOM_LIMIT_WORDS: Readonly<Record<SlalomLimit, string>> = {
  grip: 'The grip across is the limit',
  lock: 'The lock of the steering is the limit',
  servo: 'The speed of the servo is the limit',
  motor: 'The motor is the limit, not the turns',
};

/** What holds a car back between gates, and what its steering does there. */
export function slalomSentence(
  { limitedBy, steerDeg, steerRateDegPerS, speedMps }: Slalom,
  reader: Reader,
): string {
  const angle = formatText(Math.abs(steerDeg), 'angleDeg', reader, 2);
  if (speedMps === 0) return `It cannot turn so tightly: that takes ${angle} of steering even at a crawl.`;
  return `${SLALOM_LIMIT_WORDS[limitedBy]}; the wheels are steered ${angle} to either side, at ${formatText(steerRateDegPerS, 'rateDegPerS', reader, 2)}.`;
}

/** How much of the best that a car could do was driven. */
export const shareOfBest = (measuredMps: number, bestMps: number, reader: Reader): string =>
  measuredMps > bestMps
    ? `faster than it should be able to: a marker was cut, or it has more grip than the build says`
    : `${formatText(measuredMps / bestMps, 'share', reader, 2)} of that was driven`;

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

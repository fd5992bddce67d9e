import { GRAVITY } from '@/core/base/constants';
import { dropLimit, hottest, lapTimesOf, stopsSaid } from '@/core/worked/field/report';
import { type WrongWheel, wrongWheels } from '@/core/worked/field/wrongWheels';
import { formatNumber, formatText, formatWithError, type Reader } from '@/core/base/units/formatQuantity';
import { counted, listed } from '../lists';
import { MOTOR_PLACE_NAMES } from '../labels/heatWords';
import type { RunRecord, RunSheet } from '@/core/car/records/records';
import { type RunReport } from '@/core/car/records/report';
import { WHEELS } from '@/core/car/records/wheels';
import { balanceWords, blowEnergyWords, spinWords } from '../bench/benchWords';
import { frictionWords } from './friction';
import { circleRunWords, coastRunWords, gripRunWords, straightRunWords } from './gripRuns';
import { WHEEL_WORDS } from '../bench/wheelWords';
import { isTimedKind, type UntimedKind } from '@/core/car/records/runKinds';

const END_WORDS = {
  battery: 'the pack was empty',
  heat: 'something got too hot',
  failure: 'something failed',
  stopped: 'it was stopped',
} as const;

const wheelSaid = ({ wheel, turned }: WrongWheel) =>
  `${WHEEL_WORDS[wheel]} ${turned === 'still' ? 'stands still' : 'turns backward'}`;

type Told = Pick<RunSheet, 'kind' | 'report' | 'track'> & Partial<Pick<RunRecord, 'prediction'>>;
type Teller = (report: RunReport, reader: Reader, run: Told) => readonly string[];

const temperatureWords = (report: RunReport, reader: Reader) =>
  hottest(report.temperatures).map(
    ({ place, valueC }) => `${place} ${formatText(valueC, 'temperatureC', reader)}`,
  );

/** Lap times beside what was expected, and those that stand out by their number. */
export function lapWords(report: RunReport, reader: Reader): string[] {
  const found = lapTimesOf(report);
  if (!found) return [];
  const time = (value: number) => formatText(value, 'timeS', reader, 3);
  const { n, bestS, meanS, sdS, outliers } = found;
  return [
    `${counted(n, 'lap', 'laps')}, best ${time(bestS)}`,
    sdS === undefined ? '' : `mean ${time(meanS)}, sd ${formatText(sdS, 'timeS', reader, 2)}`,
    report.lapPredictedS === undefined ? '' : `predicted ${time(report.lapPredictedS)}`,
    outliers.length === 0
      ? ''
      : `${outliers.length === 1 ? 'lap' : 'laps'} ${listed(outliers.map((at) => `${at + 1}`))} left aside`,
  ];
}

/** How hard it braked, beside what was expected of the stops. */
export function stopWords(report: RunReport, reader: Reader): string[] {
  const said = stopsSaid(report);
  if (!said) return [];
  const { stops = [] } = report;
  const off = stops.flatMap(({ distanceM, predictedM }) => (predictedM ? [distanceM / predictedM - 1] : []));
  const mean = off.reduce((sum, one) => sum + one, 0) / off.length;
  return [
    counted(stops.length, 'stop', 'stops'),
    `${said.answerS === undefined ? 'at least ' : ''}${formatText(said.decelMps2, 'accelMps2', reader, 2)}, friction ${formatNumber(said.decelMps2 / GRAVITY, reader.locale, 2)} if all wheels brake`,
    said.answerS === undefined ? '' : `after ${formatText(said.answerS, 'timeS', reader, 2)}`,
    off.length === 0
      ? ''
      : `${formatText(Math.abs(mean), 'share', reader, 2)} ${mean > 0 ? 'longer' : 'shorter'} than predicted`,
  ];
}

const TELLERS: Readonly<Record<UntimedKind, Teller>> = {
  spin: (report, reader) => {
    const wrong = wrongWheels(report);
    const named = WHEELS.filter((wheel) => report.wheels?.[wheel] !== undefined).length;
    return [
      wrong.length > 0
        ? wrong.map(wheelSaid).join(', ')
        : named > 0
          ? `${named === 4 ? 'all four wheels turn' : `${named} wheels turn`} forward`
          : '',
      report.noise ? `noise: ${report.noise}` : '',
      ...(report.motors ?? []).map(
        ({ id, rpm, currentA }) =>
          `${MOTOR_PLACE_NAMES[id]} ${formatText(rpm, 'rpm', reader, 5)} at ${formatText(currentA, 'currentA', reader)}`,
      ),
      ...temperatureWords(report, reader),
    ];
  },
  endurance: (report, reader) => [
    report.endedAtMinutes === undefined
      ? ''
      : `ended after ${formatText(report.endedAtMinutes, 'minutes', reader)}`,
    report.endedBy ? END_WORDS[report.endedBy] : '',
    report.packPredicted
      ? `expected ${formatWithError(report.packPredicted.minutes, report.packPredicted.minutesError, 'minutes', reader)}`
      : '',
    ...temperatureWords(report, reader),
  ],
  laps: (report, reader) => lapWords(report, reader),
  stopping: (report, reader) => stopWords(report, reader),
  friction: (report, reader) => frictionWords(report, reader),
  grip: (report, reader) => gripRunWords(report, reader),
  straight: (report, reader) => straightRunWords(report, reader),
  circle: (report, reader) => circleRunWords(report, reader),
  coastDown: (report) => coastRunWords(report),
  terrain: ({ passages = [] }) =>
    passages.map(({ what, passed }) => `${what}: ${passed ? 'passed' : 'stuck'}`),
  drop: (report, reader) => {
    const { heldM, failedM } = dropLimit(report);
    return [
      heldM === undefined ? '' : `held ${formatText(heldM, 'distanceM', reader)}`,
      failedM === undefined ? '' : `failed at ${formatText(failedM, 'distanceM', reader)}`,
    ];
  },
  blows: ({ beaten = [] }) =>
    beaten.map(
      ({ name, light, hard, failed }) =>
        `${name}: ${light} light and ${hard} hard blows, ${failed ? 'failed' : 'held'}`,
    ),
  tyreSpin: (report, reader) => spinWords(report, reader),
  log: ({ log }, reader) => (log ? [log.name, formatText(log.durationS, 'timeS', reader, 3)] : []),
  balance: (report, reader) => balanceWords(report, reader),
  staircase: (report, reader) => blowEnergyWords(report, reader),
  crash: ({ hit, speedMps }, reader) => [
    hit ? `hit ${hit}` : '',
    speedMps === undefined ? '' : `at ${formatText(speedMps, 'speedMps', reader)}`,
  ],
  track: (_, reader, { track }) =>
    track
      ? [
          track.topSpeedMps === undefined
            ? 'shorter than its window'
            : `top speed ${formatText(track.topSpeedMps, 'speedMps', reader)} over ${formatText(track.windowS, 'timeS', reader)}`,
          formatText(track.distanceM, 'distanceM', reader),
        ]
      : [],
};

/** In a sentence, what a run that is not timed brought home. */
export const reportWords = (run: Told, reader: Reader): string =>
  isTimedKind(run.kind)
    ? ''
    : TELLERS[run.kind](run.report ?? {}, reader, run)
        .filter(Boolean)
        .join(', ');

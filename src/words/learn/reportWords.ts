import { dropLimit, growthOf, hottest } from '@/core/worked/field/report';
import { type WrongWheel, wrongWheels } from '@/core/worked/field/wrongWheels';
import { formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { RunRecord, RunSheet } from '@/core/car/records/records';
import { type RunReport, WHEELS } from '@/core/car/records/report';
import { isTimedKind, type UntimedKind } from '@/core/car/records/runKinds';

const WHEEL_WORDS = {
  frontLeft: 'front left',
  frontRight: 'front right',
  rearLeft: 'rear left',
  rearRight: 'rear right',
} as const;
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
      ...temperatureWords(report, reader),
    ];
  },
  endurance: (report, reader) => [
    report.endedAtMinutes === undefined
      ? ''
      : `ended after ${formatText(report.endedAtMinutes, 'minutes', reader)}`,
    report.endedBy ? END_WORDS[report.endedBy] : '',
    ...temperatureWords(report, reader),
  ],
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
  tyreSpin: (report, reader) => {
    const grown = growthOf(report);
    return [
      `${(report.spins ?? []).length} speeds`,
      grown === undefined ? '' : `grew by ${formatText(grown, 'share', reader, 2)}`,
    ];
  },
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

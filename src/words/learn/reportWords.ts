import { dropLimit, growthOf, hottest } from '@/core/worked/field/report';
import { type WrongWheel, wrongWheels } from '@/core/worked/field/wrongWheels';
import { formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { RunRecord, RunSheet } from '@/core/car/records/records';
import { WHEELS } from '@/core/car/records/report';

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

/** In a sentence, what a run that is not timed brought home. */
export function reportWords(
  run: Pick<RunSheet, 'kind' | 'report' | 'track'> & Partial<Pick<RunRecord, 'prediction'>>,
  reader: Reader,
): string {
  const { kind, report = {}, track } = run;
  const temperatures = hottest(report.temperatures).map(
    ({ place, valueC }) => `${place} ${formatText(valueC, 'temperatureC', reader)}`,
  );
  switch (kind) {
    case 'spin': {
      const wrong = wrongWheels(report);
      const named = WHEELS.filter((wheel) => report.wheels?.[wheel] !== undefined).length;
      return list([
        wrong.length > 0
          ? wrong.map(wheelSaid).join(', ')
          : named > 0
            ? `${named === 4 ? 'all four wheels turn' : `${named} wheels turn`} forward`
            : '',
        report.noise ? `noise: ${report.noise}` : '',
        ...temperatures,
      ]);
    }
    case 'endurance':
      return list([
        report.endedAtMinutes === undefined
          ? ''
          : `ended after ${formatText(report.endedAtMinutes, 'minutes', reader)}`,
        report.endedBy ? END_WORDS[report.endedBy] : '',
        ...temperatures,
      ]);
    case 'terrain':
      return list(
        (report.passages ?? []).map(({ what, passed }) => `${what}: ${passed ? 'passed' : 'stuck'}`),
      );
    case 'drop': {
      const { heldM, failedM } = dropLimit(report);
      return list([
        heldM === undefined ? '' : `held ${formatText(heldM, 'distanceM', reader)}`,
        failedM === undefined ? '' : `failed at ${formatText(failedM, 'distanceM', reader)}`,
      ]);
    }
    case 'blows':
      return list(
        (report.beaten ?? []).map(
          ({ name, light, hard, failed }) =>
            `${name}: ${light} light and ${hard} hard blows, ${failed ? 'failed' : 'held'}`,
        ),
      );
    case 'tyreSpin': {
      const grown = growthOf(report);
      return list([
        `${(report.spins ?? []).length} speeds`,
        grown === undefined ? '' : `grew by ${formatText(grown, 'share', reader, 2)}`,
      ]);
    }
    case 'crash':
      return list([
        report.hit ? `hit ${report.hit}` : '',
        report.speedMps === undefined ? '' : `at ${formatText(report.speedMps, 'speedMps', reader)}`,
      ]);
    case 'track':
      return track
        ? list([
            track.topSpeedMps === undefined
              ? 'shorter than its window'
              : `top speed ${formatText(track.topSpeedMps, 'speedMps', reader)} over ${formatText(track.windowS, 'timeS', reader)}`,
            formatText(track.distanceM, 'distanceM', reader),
          ])
        : '';
    default:
      return '';
  }
}

const list = (words: readonly string[]) => words.filter(Boolean).join(', ');

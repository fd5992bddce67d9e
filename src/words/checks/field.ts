import { RUN_KIND_NAMES } from '../learn/runKinds';
import type { Wheel } from '@/core/car/records/wheels';
import type { WrongWheel } from '@/core/worked/field/wrongWheels';
import { isTimedKind, type Wish } from '@/core/car/records/runKinds';
import { inSentence } from '@/core/base/units/words';
import { leftOutWords } from '../learn/runs';
import { counted, partsListed } from '../lists';
import type { Sentences } from '../write';

/** What a run of the record answers. */
export const WISH_NAMES: Readonly<Record<Wish, string>> = {
  'brief.targetMps': 'the wished speed',
  'brief.timeToDistanceS': 'the wished time to the distance',
  'brief.runTimeMinutes': 'the wished minutes per pack',
};

export const WHEEL_NAMES: Readonly<Record<Wheel, string>> = {
  frontLeft: 'front left',
  frontRight: 'front right',
  rearLeft: 'rear left',
  rearRight: 'rear right',
};

/** What a wheel did that does not turn forward. */
export const wheelTurned = ({ wheel, turned }: WrongWheel): string =>
  `${WHEEL_NAMES[wheel]} ${turned === 'still' ? 'stands still' : 'turns backward'}`;

const GOAL = {
  proven: 'proven',
  open: 'not proven either way; drive it more often',
  missed: 'missed',
} as const;

/** Sentences about what was measured. */
export const FIELD_SENTENCES: Sentences<'field'> = {
  'field.goal': ({ speed, error, wish, runs, is, leftOut }) =>
    `${speed} ± ${error} over ${counted(runs, 'timed run')}, needs ${wish}: ${GOAL[is]}${leftOut ? ` (${leftOutWords(leftOut)})` : ''}.`,
  'field.band.wheels': ({ wheels }) =>
    `On the bench ${wheels.map(wheelTurned).join(', ')}: look at bevels and motor leads before it drives.`,
  'field.band': ({ runs, kind, at, off, less, sigmas, outside }) => {
    const [short, long] = isTimedKind(kind) ? ['slower', 'faster'] : ['shorter', 'longer'];
    const said = `${RUN_KIND_NAMES[kind]} of ${at.slice(0, 10)} is ${off} ${less ? short : long} than predicted, ${sigmas} joint standard deviations off`;
    return outside
      ? `${said}: something in the figures or the run is not as the build has it.`
      : `${counted(runs, 'run')} inside the band of the prediction; at most, ${said}.`;
  },
  'field.owed.none': () => 'Every wish of the brief has a run that answers it.',
  'field.owed.some': ({ owed }) =>
    `Still to drive: ${owed.map(({ kind, wish }) => `${RUN_KIND_NAMES[kind].toLowerCase()} for ${WISH_NAMES[wish]}`).join(', ')}.`,
};

/** Sentences about failures and fixes. */
export const LEARN_SENTENCES: Sentences<'learn'> = {
  'learn.open.none': () => 'Nothing has failed yet.',
  'learn.open.explained': ({ failures }) =>
    `Each of ${counted(failures, 'failure')} has its fix or its verdict.`,
  'learn.open.some': ({ parts }) => `Not explained yet: ${partsListed(parts)}.`,
  'learn.fix.again': ({ parts }) => `Failed again in the same way: ${partsListed(parts)}.`,
  'learn.fix.held': ({ fixes }) =>
    `All ${counted(fixes, 'fix', 'fixes')} held so long that, at 90 %, it lasts longer than before.`,
  'learn.fix.young': ({ parts, first, held, of }) =>
    `Not proven yet: ${partsListed(parts)}; ${inSentence(first)} has held ${held}, needs ${of}.`,
  'learn.due.none': ({ copies }) =>
    `None of ${counted(copies, 'copy', 'copies')} has run half of what its part lasts.`,
  'learn.due.some': ({ parts }) => `Look at them before the next run: ${partsListed(parts)}.`,
};

import type { Refusals } from '../refusals/refusals';
import type { Sentences } from '../write';

const LOGS = {
  rest: 'at rest',
  running: 'with the motor running',
  driving: 'driving',
  leftTurn: 'turned by hand',
};

/** What a log of a gyro is noted for. */
export const GYRO_NOTES: Sentences<'note.gyro'> = {
  'note.gyro.noFilter': ({ rms, target }) =>
    `It shakes by ${rms}, under the ${target} that are allowed: no filter.`,
  'note.gyro.tooRough': ({ corner, rms, target }) =>
    `Even a filter at ${corner} leaves ${rms} of the ${target} that are allowed: mount the gyro softer, or balance what turns.`,
  'note.gyro.reversed': ({ rate }) =>
    `Turned to the left it reads ${rate}: its sign is wrong, and the aid would steer into the skid. Reverse it before the first drive.`,
  'note.gyro.noTurn': () =>
    'Whether its sign is right is not known: turn the car to the left by hand and log it.',
  'note.gyro.clipped': ({ log, fullScale }) =>
    `The log ${LOGS[log]} reaches the end of its range, ${fullScale}: choose a larger one.`,
  'note.gyro.aliased': ({ log, frequency, sampled }) =>
    `The log ${LOGS[log]} shows ${frequency} of something that turns faster than half the ${sampled} of sampling: no filter behind the sampling takes that out. Sample faster, or mount it softer.`,
};

/** What a log of a gyro refuses. */
export const GYRO_REFUSALS: Refusals<'gyro'> = {
  'gyro.oneClock': () => [
    'and tS: give exactly one of them',
    'give the time between readings, or the time of each',
  ],
  'gyro.unequal': ({ rates, times }) => [
    `holds ${times} times for ${rates} readings`,
    'give as many times as readings',
  ],
  'gyro.backward': () => ['is not after the time before it', 'put the readings in order of time'],
};

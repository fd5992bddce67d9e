import type { Sentences } from '../write';
import { counted } from '../lists';

/** What balancing, blows, series of settings and logs of motors found. */
export const BENCH_NOTES: Sentences<
  | 'note.log'
  | 'motorLog'
  | 'note.motorLog'
  | 'balanceRun'
  | 'note.balanceRun'
  | 'staircase'
  | 'note.staircase'
  | 'series'
  | 'note.series'
  | 'note.tyreFit'
> = {
  'note.tyreFit.noGrowth': ({ tyre, error }) =>
    `“${tyre}” grew by less than twice the reading’s error (${error}), so only the least modulus is known: spin it faster, or read finer.`,
  'note.tyreFit.scatterAtBound': ({ tyre }) =>
    `The failing speeds of “${tyre}” do not tell how much such tyres differ; no error is given.`,
  'balanceRun.apart': ({ off, allowed }) =>
    `The runs do not agree: they are off by ${off} %, over the ${allowed} % that readings of that error may be. Was the weight at the place that was noted, and the speed the same?`,
  'balanceRun.worse': () =>
    'It shakes no less than before: were the angles counted the other way round the wheel?',
  'note.balanceRun.light': () =>
    'The trial weight is under a fifth of what is out of balance: a heavier one shows it more surely.',
  'note.log.erpm': ({ column }) =>
    `“${column}” counts electrical turns: divide by the pairs of poles for those of the shaft.`,
  'note.log.timeUnit': ({ unit }) => `The unit of the time is not said: it was taken for ${unit}.`,
  'note.log.timeGuessed': ({ column }) =>
    `No column is called time: “${column}” only rises and was taken for it.`,
  'note.log.noSync': () =>
    'The two logs could not be laid on each other: each needs a speed, turns or throttle that change.',
  'motorLog.meter': ({ gap }) =>
    `Readings and meter differ by ${gap}, more than both may be wrong: were leads and controller in one of them alone?`,
  'motorLog.ratio': ({ off }) =>
    `Motor and wheel turn in another ratio than the build says, by ${off} %: count the teeth again.`,
  'motorLog.radius': ({ slip }) =>
    `The car goes ${slip} % further than its tyres roll: measure the rolling radius at speed.`,
  'note.motorLog.idling': () =>
    'The idling current was taken as one figure: three speeds, the fastest half as fast again as the slowest, would show how it rises.',
  'staircase.weakened': ({ variant, parts }) =>
    `${counted(parts, 'copy', 'copies')} of ${variant} broke at no more than they had held before: blows add up. Hit a fresh copy each time.`,
  'staircase.reused': ({ variant, parts }) =>
    `${counted(parts, 'copy', 'copies')} of ${variant} took several blows: what they took before may have cost them something.`,
  'series.lackOfFit': () =>
    'The results bend otherwise than this line or curve: what it says between the tried values is not to be trusted.',
  'note.series.openInterval': () =>
    'The bend of the curve is not sure enough to say between which values the best one lies.',
  'note.series.atLimit': () =>
    'The best tried value lies at the limit: there is nothing further to try that way.',
  'note.staircase.atBound': ({ variant, scatter }) =>
    `How much copies of ${variant} differ is not told by these blows: it ends at the bound of ${scatter}.`,
};

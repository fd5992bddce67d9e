import { wholePercents } from '@/core/base/numeric/wholePercents';
import { formatNumber, formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { Crossing } from '@/core/physics/laps/crossing';
import { counted } from '../lists';
import type { TrackLine, Turn } from '@/core/car/document/brief';
import type { LapOfBuild } from '@/core/worked/place/lapOfBuild';
import type { LapGear, LapGears } from '@/core/worked/place/lapGears';
import type { DriveLapResult, LapLimit } from '@/core/physics/laps/lap';

export const TURN_WORDS: Readonly<Record<Turn, string>> = { left: 'to the left', right: 'to the right' };

export const LIMIT_WORDS: Readonly<Record<LapLimit, string>> = {
  grip: 'the tyres',
  drive: 'the motor',
  braking: 'the brakes',
};

/** How long a lap takes, against another build where one stands beside it. */
export function lapSentence(
  lap: DriveLapResult,
  reader: Reader,
  other?: { label: string; lap: DriveLapResult },
): string {
  const m = (value: number) => formatText(value, 'distanceM', reader, 3);
  if (lap.lapTimeS === undefined)
    return `It does not get round: it stops after ${m(lap.stalledAtM!)} of ${m(lap.lengthM)}.`;
  const time = (value: number) => formatText(value, 'timeS', reader, 3);
  const won = other?.lap.lapTimeS === undefined ? undefined : other.lap.lapTimeS - lap.lapTimeS;
  const against =
    won === undefined || Math.abs(won) < LEAST_WON_S
      ? ''
      : `, ${time(Math.abs(won))} ${won > 0 ? 'faster' : 'slower'} than ${other!.label}`;
  return `A lap of ${m(lap.lengthM)} takes ${time(lap.lapTimeS)}${against}: ${formatText(lap.meanSpeedMps!, 'speedMps', reader, 3)} on the mean.`;
}

const LEAST_WON_S = 0.005;

/** Seconds won in a segment, with their sign. */
export const wonText = (won: number, seconds: (value: number) => string): string =>
  Math.abs(won) < LEAST_WON_S / 5 ? '0' : `${won > 0 ? '+' : '−'}${seconds(Math.abs(won))}`;

/** What sets the pace, and what a lap takes from the pack. */
export function costSentence(
  { lap, lapsPerPack }: Pick<LapOfBuild, 'lap' | 'lapsPerPack'>,
  reader: Reader,
): string {
  if (!lap.shares) return '';
  const named = Object.entries(lap.shares) as [LapLimit, number][];
  const percents = wholePercents(named.map(([, share]) => share));
  const shares = named
    .map(([limit], at) => ({ limit, percent: percents[at]! }))
    .filter(({ percent }) => percent > 0)
    .sort((a, b) => b.percent - a.percent)
    .map(({ limit, percent }) => `${LIMIT_WORDS[limit]} ${percent}\u00a0%`);
  const pack =
    lapsPerPack === undefined
      ? ''
      : ` A pack is good for ${formatNumber(Math.floor(lapsPerPack), reader.locale)} laps, ${formatText((lapsPerPack * lap.lapTimeS!) / S_PER_MIN, 'minutes', reader, 2)}, at ${formatText(lap.meanMotorCurrentA!, 'currentA', reader, 2)} per motor on the mean.`;
  return `What sets the pace, of the time: ${shares.join(', ')}.${pack}`;
}

const S_PER_MIN = 60;

/** By how much the round does not close. */
export const gapSentence = (gap: { m: number; deg: number }, reader: Reader): string =>
  `The round does not close: its end lies ${formatText(gap.m, 'distanceM', reader, 2)} from its start and points ${formatNumber(gap.deg, reader.locale, 2)}° another way. The lap is worked out as if it did.`;

/** Where the round comes over itself. */
export const crossingSentence = ({ atM, againM }: Crossing, reader: Reader): string =>
  `The round crosses itself, ${formatText(atM, 'distanceM', reader, 2)} and ${formatText(againM, 'distanceM', reader, 3)} from its start: right for a figure of eight, and a slip of the tape or the receiver otherwise.`;

/** A line that does not come back. */
export const openSentence = (): string =>
  'The track passes no place twice the same way, so there is no round in it: it is driven once, from a standstill.';

/** What a round out of a track is made of. */
export const roundTold = ({ closed, rounds }: TrackLine): string =>
  closed ? `mean of ${counted(rounds, 'round')}` : 'no round in it';

/** A gear as one speaks of it. */
export const gearName = ({ ratio }: Pick<LapGear, 'ratio'>, reader: Reader): string =>
  `${formatNumber(ratio, reader.locale, 3)} : 1`;

/** Which gear gets round fastest. */
export function gearSentence({ best, present }: LapGears, reader: Reader): string {
  if (!best) return 'No gear gets it round.';
  if (best.isPresent) return `${gearName(present, reader)}, as it is, is the fastest gear for this round.`;
  const won =
    present.lapTimeS === undefined
      ? 'gets it round'
      : `takes ${formatText(present.lapTimeS - best.lapTimeS!, 'timeS', reader, 2)} off a lap`;
  return `${gearName(best, reader)} ${won} against ${gearName(present, reader)}. Look at the heat before you take it.`;
}

import { wholePercents } from '@/core/base/numeric/wholePercents';
import type { DriveBrakeResult } from '@/core/physics/braking/brake';
import type { Turn } from '@/core/car/document/brief';
import type { DriveLapResult, LapLimit } from '@/core/physics/laps/lap';
import type { SiteRow } from '@/core/physics/place/definition';
import type { DriveSiteResult } from '@/core/physics/place/site';
import { formatNumber, formatText, type Reader } from '@/core/base/units/formatQuantity';

/** Whether the place takes the pass that is meant, and what it takes otherwise. */
export function placeSentence(site: DriveSiteResult, reader: Reader): string {
  const m = (value: number) => formatText(value, 'distanceM', reader, 3);
  const speed = (value: number) => formatText(value, 'speedMps', reader, 3);
  if (site.stalled) return 'The car cannot move here, so no place is long enough.';
  const row = site.rows.at(-1);
  if (!row) return 'Give the speed that is meant: on this downhill the car has no top speed.';
  if (row.stopM === undefined) return `From ${speed(row.speedMps)} it does not stop: give it a brake.`;
  const allowed =
    site.placeSpeedMps === undefined
      ? 'not even a slow pass fits'
      : `this place allows ${speed(site.placeSpeedMps)}`;
  return row.fits
    ? `A pass at ${speed(row.speedMps)} fits with ${m(row.spareM!)} to spare; ${allowed}.`
    : `A pass at ${speed(row.speedMps)} needs ${m(-row.spareM!)} more: ${allowed}.`;
}

/** What could help where it does not fit. */
export function entrySentence({ entrySpeedNeededMps, rows }: DriveSiteResult, reader: Reader): string {
  const row = rows.at(-1);
  if (!row || row.fits || row.stopM === undefined) return '';
  return entrySpeedNeededMps === undefined
    ? 'No rolling start helps: stretch and stop alone are too long.'
    : `A rolling start of ${formatText(entrySpeedNeededMps, 'speedMps', reader, 3)} would make it fit.`;
}

/** How it brakes at the speed that is meant. */
export function brakingSentence(braking: DriveBrakeResult, reader: Reader): string {
  const stop =
    braking.distanceM === undefined
      ? 'It does not come to a stop.'
      : `It stops in ${formatText(braking.distanceM, 'distanceM', reader, 3)} and ${formatText(braking.timeS!, 'timeS', reader, 2)}, at most ${formatText(braking.peakDecelMps2, 'accelMps2', reader, 2)}.`;
  const by = {
    brake: 'The brake sets it: the tyres could hold more.',
    grip: 'The tyres set it: more brake would lock a wheel.',
    lift: 'The rear wheels lift first: a lower centre of gravity would let it brake harder.',
  }[braking.limitedBy];
  return `${stop} ${by}`;
}

/** How far a steering error carries it aside. */
export function driftSentence(row: SiteRow, reader: Reader): string {
  const m = (value: number) => formatText(value, 'distanceM', reader, 2);
  const drift = `A steering error of 1° drifts ${m(row.driftM)} aside until the driver answers`;
  if (row.sideSpareM === undefined) return `${drift}.`;
  return row.sideFits
    ? `${drift}: ${m(row.sideSpareM)} to spare at the side.`
    : `${drift}, ${m(-row.sideSpareM)} more than the width leaves.`;
}

/** Whether the radio reaches the farthest corner. */
export function radioSentence({ radioFarthestM, radioReaches }: DriveSiteResult, reader: Reader): string {
  const far = formatText(radioFarthestM, 'distanceM', reader, 3);
  if (radioReaches === undefined)
    return `The farthest corner is ${far} from the driver: walk it off with the motor unplugged.`;
  return radioReaches
    ? `The radio was tried out to more than the ${far} to the farthest corner.`
    : `The farthest corner is ${far} away, farther than the radio was tried.`;
}

export const TURN_WORDS: Readonly<Record<Turn, string>> = { left: 'to the left', right: 'to the right' };

const LIMIT_WORDS: Readonly<Record<LapLimit, string>> = {
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

/** What sets the pace, and what a lap takes from the pack. */
export function costSentence(lap: DriveLapResult, reader: Reader): string {
  if (!lap.shares) return '';
  const named = Object.entries(lap.shares) as [LapLimit, number][];
  const percents = wholePercents(named.map(([, share]) => share));
  const shares = named
    .map(([limit], at) => ({ limit, percent: percents[at]! }))
    .filter(({ percent }) => percent > 0)
    .sort((a, b) => b.percent - a.percent)
    .map(({ limit, percent }) => `${LIMIT_WORDS[limit]} ${percent}\u00a0%`);
  const pack =
    lap.lapsPerPack === undefined
      ? ''
      : ` A pack is good for ${formatNumber(Math.floor(lap.lapsPerPack), reader.locale)} laps, ${formatText((lap.lapsPerPack * lap.lapTimeS!) / S_PER_MIN, 'minutes', reader, 2)}, at ${formatText(lap.meanMotorCurrentA!, 'currentA', reader, 2)} per motor on the mean.`;
  return `What sets the pace, of the time: ${shares.join(', ')}.${pack}`;
}

const S_PER_MIN = 60;

/** By how much the round does not close. */
export const gapSentence = (gap: { m: number; deg: number }, reader: Reader): string =>
  `The round does not close: its end lies ${formatText(gap.m, 'distanceM', reader, 2)} from its start and points ${formatNumber(gap.deg, reader.locale, 2)}° another way. The lap is worked out as if it did.`;

import { inSentence } from '@/core/base/units/words';
import type { PassTick } from '@/core/car/records/report';
import type { PassList } from '@/core/verdict/passList';
import type { PlaceOfBuild } from '@/core/worked/place/placeOfBuild';
import { checkTitle } from '../checks/names';
import { counted } from '../lists';
import type { DriveBrakeResult } from '@/core/physics/braking/brake';
import type { SiteRow } from '@/core/physics/place/definition';
import type { DriveSiteResult } from '@/core/physics/place/site';
import { formatText, type Reader } from '@/core/base/units/formatQuantity';

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

/** What the wind does to a pass each way. */
export function windSentence(
  { windMps, againstMps, withMps, stillMps, bothMps }: NonNullable<PlaceOfBuild['wind']>,
  reader: Reader,
): string {
  const speed = (value: number) => formatText(value, 'speedMps', reader, 3);
  return `In a wind of ${formatText(windMps, 'speedMps', reader, 2)} along it the top speed is ${speed(againstMps)} against it and ${speed(withMps)} with it; timed both ways ${speed(bothMps)}, in still air ${speed(stillMps)}.`;
}

/** What is looked at before a fast pass. */
export const PASS_TICK_WORDS: Readonly<Record<PassTick, string>> = {
  pack: 'Pack charged, cool, neither puffed nor crashed',
  people: 'Closed ground: nobody, no road and no animal in line with the car, a spotter beside you',
  order: 'Switched on in order: transmitter first, then the car; off the other way round',
};

/** Go or no go. */
export function passSentence({ go, open, unticked }: PassList): string {
  if (go) return 'Go.';
  return `No go: ${[
    ...open.map(
      ({ id, state, missing }) =>
        `${inSentence(checkTitle({ id }))} ${state === 'over' ? 'is over' : missing.length > 0 ? 'is not known' : 'is being worked out'}`,
    ),
    ...(unticked.length > 0 ? [counted(unticked.length, 'look is', 'looks are') + ' owed'] : []),
  ].join('; ')}.`;
}

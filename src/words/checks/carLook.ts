import { formatNumber, formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { CarMark } from '@/core/verdict/carMarks';
import { byUrgency } from '@/core/verdict/states';
import { saidThing } from '@/core/worked/space/said';
import type { Thing } from '@/core/worked/space/thingsOfCar';
import type { DropMoment, DropOfCar } from '@/core/worked/space/dropOfCar';
import { firstUp } from '../lists';
import { checkTitle } from './names';
import { thingWords } from './things';

/** What the things are coloured by, with what each colour stands for, from the least to the most. */
export const COLOUR_WORDS = {
  kind: { label: 'what it is', legend: [] },
  margin: {
    label: 'margin',
    legend: [
      ['rust', 'over'],
      ['ochre', 'tight'],
      ['moss', 'clear'],
      ['rule', 'no figure'],
    ],
  },
  mass: {
    label: 'mass',
    legend: [
      ['rule', 'light'],
      ['slate', 'over a third of the heaviest'],
      ['ink', 'over two thirds'],
      ['sheet', 'not known'],
    ],
  },
  failures: {
    label: 'what failed',
    legend: [
      ['rule', 'never'],
      ['ochre', 'once'],
      ['rust', 'more than once'],
    ],
  },
  hours: {
    label: 'hours driven',
    legend: [
      ['rule', 'few'],
      ['slate', 'over a third of the longest'],
      ['ink', 'over two thirds'],
      ['sheet', 'not known'],
    ],
  },
} as const;

export const CUT_WORDS = {
  none: 'whole',
  lengthwise: 'cut lengthwise',
  across: 'cut across',
  level: 'cut level',
} as const;

const most = <T>(all: readonly T[], of: (one: T) => number | undefined): T | undefined =>
  all.reduce<T | undefined>(
    (best, one) => ((of(one) ?? -Infinity) > (best ? (of(best) ?? -Infinity) : -Infinity) ? one : best),
    undefined,
  );

/** What stands out in the picture, in one sentence. */
export function lookAnswer(
  by: keyof typeof COLOUR_WORDS,
  things: readonly Thing[],
  marks: ReadonlyMap<string, CarMark>,
  reader: Reader,
): string {
  const of = (thing: Thing): CarMark => marks.get(thing.id) ?? { failures: 0 };
  const named = (thing: Thing) => firstUp(thingWords(saidThing(thing)));
  const count = (has: (mark: CarMark) => boolean) => things.filter((thing) => has(of(thing))).length;
  if (by === 'margin') {
    const [worst] = things
      .filter((thing) => of(thing).check)
      .sort((a, b) => byUrgency(of(a).check!, of(b).check!));
    const check = worst && of(worst).check;
    const known = count((mark) => mark.check !== undefined);
    return worst && check
      ? `Nearest to its limit: ${thingWords(saidThing(worst))}, margin ${formatNumber(check.margin!, reader.locale, 2)}. ${known} of ${things.length} things have a figure.`
      : 'No check of this car judges a thing in the picture yet.';
  }
  if (by === 'failures') {
    const worst = most(things, (thing) => of(thing).failures || undefined);
    return worst
      ? `${named(worst)} failed ${times(of(worst).failures)} over all revisions; ${count(({ failures }) => failures > 0)} of ${things.length} things have failed.`
      : 'Nothing in the picture has failed yet.';
  }
  if (by === 'hours') {
    const oldest = most(things, (thing) => of(thing).hours || undefined);
    return oldest
      ? `${named(oldest)} ran longest: ${formatText(of(oldest).hours!, 'hours', reader, 2)}.`
      : 'Nothing in the picture has been driven yet.';
  }
  const heaviest = most(things, (thing) => of(thing).massG);
  return heaviest
    ? `Heaviest: ${thingWords(saidThing(heaviest))}, ${formatText(of(heaviest).massG!, 'massG', reader, 3)}. ${count(({ massG }) => massG !== undefined)} of ${things.length} things have a mass of their own.`
    : 'No thing in the picture has a mass yet.';
}

const times = (count: number) => (count === 1 ? 'once' : count === 2 ? 'twice' : `${count} times`);

/** What is known about one thing, beside what it is called. */
export function markWords({ check, massG, failures, hours }: CarMark, reader: Reader): string {
  return [
    massG === undefined ? '' : formatText(massG, 'massG', reader, 3),
    check
      ? `margin ${formatNumber(check.margin!, reader.locale, 2)} (${checkTitle(check).toLowerCase()})`
      : '',
    failures > 0 ? `failed ${times(failures)}` : '',
    hours ? `${formatText(hours, 'hours', reader, 2)} driven` : '',
  ]
    .filter(Boolean)
    .join(', ');
}

/** One time of a landing. */
export function dropWords({ tS, tyreN, pose }: DropMoment, reader: Reader): string {
  const newtons = (value: number) => formatText(value, 'forceN', reader, 3);
  const at = formatText(1000 * tS, 'millis', reader, 3);
  return `${at} after touch-down: ${newtons(tyreN.front)} on each front tyre, ${newtons(tyreN.rear)} on each rear one; wheels at ${formatText(pose.travelMm.front, 'lengthMm', reader, 2)} and ${formatText(pose.travelMm.rear, 'lengthMm', reader, 2)} of travel.`;
}

/** The hardest of a landing, in one sentence. */
export function dropPeaks({ dropM, moments }: DropOfCar, reader: Reader): string {
  const peak = (of: (moment: DropMoment) => number) =>
    moments.reduce((best, one) => (of(one) > of(best) ? one : best), moments[0]!);
  const tyre = (['front', 'rear'] as const)
    .map((end) => ({ end, at: peak(({ tyreN }) => tyreN[end]) }))
    .reduce((a, b) => (b.at.tyreN[b.end] > a.at.tyreN[a.end] ? b : a));
  const into = (['front', 'rear'] as const).map((end) => peak(({ chassisN }) => chassisN[end]).chassisN[end]);
  return `From ${formatText(dropM, 'distanceM', reader, 2)} a ${tyre.end} tyre pushes with ${formatText(tyre.at.tyreN[tyre.end], 'forceN', reader, 3)} at most, ${formatText(1000 * tyre.at.tS, 'millis', reader, 2)} after it touches; each corner pushes up to ${formatText(Math.max(...into), 'forceN', reader, 3)} into the car.`;
}

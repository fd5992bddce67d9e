import { formatNumber, formatText, type Reader } from '@/core/base/units/formatQuantity';
import { lifeEstimate, USUAL_LIFE_CONFIDENCE } from '@/core/physics/statistics/life';
import type { HeldFix, Lived } from '@/core/worked/field/lives';
import type { Wear } from '@/core/worked/field/wear';

/** Less since the last reading is not worth a word. */
const TOLD_SINCE_H = 0.1;

const hoursText = (value: number, reader: Reader) => formatText(value, 'hours', reader, 2);

/** What so many hours with so many failures say of the mean life. */
export function lifeWords({ hours, failures }: Lived, reader: Reader): string {
  if (hours === 0) return failures === 0 ? 'not driven yet' : `failed ${times(failures)} without hours noted`;
  const { mtbfHours, lowerHours, upperHours } = lifeEstimate({ exposureHours: hours, failures });
  const sure = `${formatNumber(100 * USUAL_LIFE_CONFIDENCE, reader.locale)} % confidence`;
  const [all, lower] = [hours, lowerHours].map((value) => hoursText(value, reader));
  return mtbfHours === undefined || upperHours === undefined
    ? `held ${all} with no failure: at ${sure} its mean life is over ${lower}`
    : `failed ${times(failures)} in ${all}, one in ${hoursText(mtbfHours, reader)}: at ${sure} each its mean life is over ${lower} and under ${hoursText(upperHours, reader)}`;
}

const times = (count: number) => (count === 1 ? 'once' : `${count} times`);

/** What a part's earlier designs came to. */
export const earlierWords = ({ hours, failures }: Lived, reader: Reader): string =>
  `before it was redesigned: ${failures === 0 ? 'no failure' : `failed ${times(failures)}`} in ${hoursText(hours, reader)}`;

/** What became of a fix. */
export function heldWords({ hours, again, lost }: HeldFix, reader: Reader): string {
  const gone = lost ? `; ${lost.in} does not come from ${lost.from}, so it is without this fix` : '';
  return `${lifeWords({ hours, failures: again }, reader)}${gone}`;
}

/** How worn one place of a copy is, and how long it lasts from now. */
export function wearWords(wear: Wear, reader: Reader): string {
  const { lastMm, limitMm, rateMmPerHour, hoursLeft, atLeastHours, sinceHours } = wear;
  const [last, limit] = [lastMm, limitMm].map((value) => formatText(value, 'lengthMm', reader, 4));
  if (hoursLeft === 0 && sinceHours === 0) return `spent: ${last}, and ${limit} is its limit`;
  if (rateMmPerHour === undefined) return 'one reading: a second one after some hours gives its wear';
  const since = sinceHours >= TOLD_SINCE_H ? `, ${hoursText(sinceHours, reader)} after the last reading` : '';
  const least =
    atLeastHours === undefined || atLeastHours === 0
      ? ''
      : `at 90 % over ${hoursText(atLeastHours, reader)} left${since}`;
  if (hoursLeft === undefined)
    return `no wear shows over the caliper’s own error${least ? `; ${least}` : ''}`;
  const rate = `${formatText(rateMmPerHour, 'lengthMm', reader, 2)} per hour`;
  return hoursLeft === 0
    ? `${rate}: by that past its limit of ${limit}${since}; measure it again`
    : `${rate}: about ${hoursText(hoursLeft, reader)} left${least ? `, ${least}` : since}`;
}

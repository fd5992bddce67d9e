import type { Reader } from '@/core/base/units/formatQuantity';
import { formatQuantity } from '@/core/base/units/formatQuantity';
import { inSentence } from '@/core/base/units/words';
import { describeExchange } from '@/words/labels/describe';
import type { Check, Remedy, Standing } from '@/core/verdict/engine/check';
import { checkTitle } from './checks/names';
import { say } from './findings';
import { needNames } from './needs';
import { STATE_WORDS } from './states';

/** Why a check stands as it does. */
export function whyOf({ finding, missing }: Pick<Check, 'finding' | 'missing'>, reader: Reader): string {
  if (finding) return say(finding, reader);
  return missing.length > 0 ? `Needs ${needNames(missing)}.` : 'Being worked out.';
}

/** The check with its state and its reason. */
export const checkSentence = (
  check: Pick<Check, 'id' | 'named' | 'state' | 'finding' | 'missing'>,
  reader: Reader,
): string => `${checkTitle(check)}: ${STATE_WORDS[check.state]}. ${whyOf(check, reader)}`;

const MOST_EXCHANGES = 3;

/**
 * A remedy by what it exchanges: label, what it is, what it becomes; its owner once, or not at all where the
 * page names it; what was not there before is not said.
 */
export function remedyText(
  { says, exchanges }: Pick<Remedy, 'says' | 'exchanges'>,
  reader: Reader,
  { owner = true }: { owner?: boolean } = {},
): string {
  if (says) return say(says, reader);
  const shown = exchanges.slice(0, MOST_EXCHANGES).map((exchange, at) => {
    const before = exchanges[at - 1];
    const same = before && before.of === exchange.of && before.stage === exchange.stage;
    const named = owner && !same ? exchange : { path: exchange.path, from: exchange.from, to: exchange.to };
    const { label, ...values } = describeExchange(named, reader);
    const name = at === 0 ? label : inSentence(label);
    return exchange.from === undefined ? `${name} → ${values.after}` : `${name} ${exchanged(values)}`;
  });
  const more = exchanges.length - shown.length;
  return `${shown.join(', ')}${more > 0 ? ` and ${more} more` : ''}`;
}

/** Two values with an arrow between them, a unit that both have said once. */
function exchanged({ before, after }: { before: string; after: string }): string {
  const unit = /\u00a0\S+$/.exec(after)?.[0];
  return `${unit && before.endsWith(unit) ? before.slice(0, -unit.length) : before} → ${after}`;
}

/** What a check reads: its figure, and what that is held against. */
export interface CheckReading {
  readonly number: string;
  readonly unit: string;
  /** Both; the number alone where there is no unit. */
  readonly text: string;
  /** `needs 3.25 N` of a minimum, `limit 3 A` of a maximum; empty where neither is. */
  readonly against: string;
}

export function readingOf(
  {
    value,
    limit,
    quantity,
    kind,
    countedTo,
  }: Pick<Check, 'value' | 'limit' | 'quantity' | 'kind' | 'countedTo'>,
  reader: Reader,
): CheckReading | undefined {
  if (value === undefined) return undefined;
  const { number, unit } = figureOf(
    value,
    { quantity, ...(countedTo === undefined ? {} : { countedTo: Math.max(countedTo, limit ?? 0) }) },
    reader,
  );
  const word = { floor: 'needs', ceiling: 'limit', band: '' }[kind];
  return {
    number,
    unit,
    text: unit ? `${number}\u00a0${unit}` : number,
    against: limit === undefined || word === '' ? '' : `${word} ${valueOf(limit, { quantity }, reader)}`,
  };
}

/** What a remedy does to its check: to its margin, or else to its state, or else to its figure. */
export function effectText(before: Counted & Standing, after: Standing, reader: Reader): string {
  if (before.margin !== undefined && after.margin !== undefined)
    return `margin ${plainMargin(before.margin, reader)} → ${plainMargin(after.margin, reader)}`;
  if (after.state !== before.state) return `${STATE_WORDS[before.state]} → ${STATE_WORDS[after.state]}`;
  return before.value !== undefined && after.value !== undefined
    ? `${valueOf(before.value, before, reader)} → ${valueOf(after.value, before, reader)}`
    : '';
}

const MOST_MARGIN = 100;
const plainMargin = (margin: number, { locale }: Reader) =>
  margin > MOST_MARGIN
    ? `over ${MOST_MARGIN}`
    : margin.toLocaleString(locale, { minimumFractionDigits: 2, maximumFractionDigits: 2 });

type Counted = Pick<Check, 'quantity' | 'countedTo'>;

/** A figure with its unit; one that nobody counts as over what is counted. */
function figureOf(value: number, { quantity, countedTo = Infinity }: Counted, reader: Reader) {
  const { number, unit } = formatQuantity(Math.min(value, countedTo), quantity, reader);
  return { number: value > countedTo ? `over ${number}` : number, unit };
}

function valueOf(value: number, counted: Counted, reader: Reader): string {
  const { number, unit } = figureOf(value, counted, reader);
  return unit === '' ? number : `${number}\u00a0${unit}`;
}

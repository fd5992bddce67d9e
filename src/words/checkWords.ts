import type { Reader } from '@/core/base/units/formatQuantity';
import { formatQuantity } from '@/core/base/units/formatQuantity';
import { describeExchange } from '@/core/car/labels/describe';
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

/** A remedy by what it exchanges: label, what it is, what it becomes. */
export function remedyText({ says, exchanges }: Pick<Remedy, 'says' | 'exchanges'>, reader: Reader): string {
  if (says) return say(says, reader);
  const told = exchanges.map((exchange) => describeExchange(exchange, reader));
  const shown = told
    .slice(0, MOST_EXCHANGES)
    .map(({ label, before, after }, at) => `${at === 0 ? label : lowered(label)} ${before} → ${after}`);
  return `${shown.join(', ')}${told.length > MOST_EXCHANGES ? ` and ${told.length - MOST_EXCHANGES} more` : ''}`;
}

const lowered = (label: string) =>
  /^[A-Z][A-Z0-9]/.test(label) ? label : label.charAt(0).toLowerCase() + label.slice(1);

/** What a remedy does to its check. */
export function effectText(
  before: Pick<Check, 'quantity'> & Standing,
  after: Standing,
  reader: Reader,
): string {
  if (before.margin !== undefined && after.margin !== undefined)
    return `margin ${plainMargin(before.margin, reader)} → ${plainMargin(after.margin, reader)}`;
  const figures =
    before.value !== undefined && after.value !== undefined
      ? `${valueOf(before.value, before, reader)} → ${valueOf(after.value, before, reader)}`
      : '';
  if (after.state === before.state) return figures;
  return `${STATE_WORDS[before.state]} → ${STATE_WORDS[after.state]}${figures ? `, ${figures}` : ''}`;
}

const MOST_MARGIN = 100;
const plainMargin = (margin: number, { locale }: Reader) =>
  margin > MOST_MARGIN
    ? `over ${MOST_MARGIN}`
    : margin.toLocaleString(locale, { minimumFractionDigits: 2, maximumFractionDigits: 2 });

function valueOf(value: number, { quantity }: Pick<Check, 'quantity'>, reader: Reader): string {
  const { number, unit } = formatQuantity(value, quantity, reader);
  return unit === '' ? number : `${number} ${unit}`;
}

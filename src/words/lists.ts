import { inSentence } from '@/core/base/units/words';

const MOST_NAMED = 3;

/** Names in a row, the first three and how many more. */
export function listed(names: readonly string[], most = MOST_NAMED): string {
  const shown = names.slice(0, most);
  const more = names.length - shown.length;
  if (more > 0) return `${shown.join(', ')} and ${more} more`;
  return shown.length < 2 ? shown.join('') : `${shown.slice(0, -1).join(', ')} and ${shown.at(-1)!}`;
}

/** Names of parts inside a sentence. */
export const partsListed = (names: readonly string[]): string => listed(names.map(inSentence));

/** A count with its noun. */
export const counted = (count: number, one: string, many = `${one}s`): string =>
  `${count} ${count === 1 ? one : many}`;

export const firstUp = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

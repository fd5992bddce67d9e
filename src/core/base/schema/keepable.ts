import { refusal } from '../errors';

declare module '../errors' {
  interface RefusalFacts {
    'keepable.character': Record<never, never>;
    'keepable.depth': { deepest: number };
    'keepable.name': Record<never, never>;
  }
}

const DEEPEST = 60;
/** Control characters but tab and the ends of lines, and halves of a pair that stand alone: no database and no XML keeps them. */
const UNKEEPABLE = /(?![\t\n\r])[\p{Control}\p{Surrogate}]/u;
const EVERY_UNKEEPABLE = new RegExp(UNKEEPABLE, 'gu');

export const isKeepable = (text: string): boolean => !UNKEEPABLE.test(text);

/** A text as it was typed or pasted, without what cannot be kept. */
export const keepable = (text: string): string => text.replace(EVERY_UNKEEPABLE, '');

/** A record with every text as it can be kept. */
export const keepableTexts = <T>(record: T): T =>
  JSON.parse(JSON.stringify(record), (_, value: unknown) =>
    typeof value === 'string' ? keepable(value) : value,
  ) as T;

/**
 * Refuses a value that could be read but not kept.
 *
 * @throws CalcError at a text with a character that cannot be kept, and at what is nested too deeply
 */
export function refuseUnkeepable(value: unknown): void {
  const open: { value: unknown; path: readonly string[] }[] = [{ value, path: [] }];
  for (let one = open.pop(); one; one = open.pop()) {
    const path = () => one!.path.map((name) => keepable(name)).join('.');
    if (typeof one.value === 'string' && !isKeepable(one.value)) throw refusal(path(), 'keepable.character');
    if (!isPlain(one.value)) continue;
    if (one.path.length >= DEEPEST)
      throw refusal(one.path.slice(0, 3).join('.'), 'keepable.depth', { deepest: DEEPEST });
    for (const [name, inner] of Object.entries(one.value)) {
      if (!isKeepable(name)) throw refusal(path(), 'keepable.name');
      if (typeof inner === 'string' || isPlain(inner)) open.push({ value: inner, path: [...one.path, name] });
    }
  }
}

const isPlain = (value: unknown): value is object =>
  Array.isArray(value) ||
  (typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === Object.prototype);

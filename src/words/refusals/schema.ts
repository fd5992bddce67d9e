import type { SchemaContext } from '@/core/base/errors';
import type { Refusals, Said } from './refusals';

const list = (items: readonly string[] = []) => items.join(', ');

const STAY: Readonly<Record<string, string>> = {
  'number.min': 'at or above',
  'number.max': 'at or below',
  'number.greater': 'above',
};

const TYPE_WORDS: Readonly<Record<string, string>> = {
  object: 'an object',
  array: 'a list',
  number: 'a number',
  string: 'text',
  boolean: 'true or false',
};

const RULES: Readonly<Record<string, (about: SchemaContext) => Said>> = {
  'any.required': () => ['is missing', 'add the field'],
  'object.unknown': () => ['is not a known field', 'check its spelling or take it out'],
  'number.base': ({ infinite }) => [
    infinite ? 'must be finite' : 'must be a number',
    'write a plain number without quotes or unit',
  ],
  'number.infinity': () => ['must be finite'],
  'string.base': () => ['must be text'],
  'boolean.base': () => ['must be true or false'],
  'array.base': () => ['must be a list'],
  'object.base': () => ['must be an object'],
  'string.empty': () => ['must not be empty'],
  'number.integer': () => ['must be a whole number'],
  'any.only': ({ valids }) => [`must be one of ${list(valids)}`],
  'alternatives.types': ({ types }) => [
    `must be ${(types ?? ['of another kind']).map((one) => TYPE_WORDS[one] ?? one).join(' or ')}`,
  ],
  'object.oxor': ({ peers }) => [`give exactly one of ${list(peers)}`],
  'object.xor': ({ peers }) => [`give exactly one of ${list(peers)}`],
  'object.missing': ({ peers }) => [`give one of ${list(peers)}`],
  'object.and': ({ present }) => [`is missing: it belongs to ${list(present)}`],
  'object.with': ({ main }) => [`is missing: it belongs to ${String(main)}`],
  'object.without': ({ peer }) => [`does not go with ${String(peer)}`],
};

/** The rules of a schema; one that has no words of ours is said as the schema says it. */
export const SCHEMA_REFUSALS: Refusals<'schema'> = {
  'schema.rule': ({ rule, label, about, said }) => {
    const known = RULES[rule]?.(about);
    if (known) return known;
    const text = said.startsWith(label) ? said.slice(label.length).trim() : said;
    const message = text === '' ? 'is not valid' : text;
    return about.limit !== undefined && rule.startsWith('number.')
      ? [message, `stay ${STAY[rule] ?? 'below'} ${about.limit}`]
      : [message];
  },
};

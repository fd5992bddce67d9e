import type { Schema, ValidationErrorItem } from 'joi';
import { CalcError } from '../errors';
import { refuseUnkeepable } from './keepable';

const OPTIONS = {
  convert: false,
  abortEarly: false,
  allowUnknown: false,
  errors: { wrap: { label: false as const } },
};

/**
 * Checks an input against a schema and fills in its defaults. Text is never turned into a number.
 *
 * @throws CalcError at a text that cannot be kept, then at the first offending field in the schema's order
 */
export function parse<T>(schema: Schema<T>, input: unknown): T {
  refuseUnkeepable(input);
  const { value, error } = schema.validate(input, OPTIONS);
  if (!error) return value;
  const first = firstOf(error.details);
  throw new CalcError(pathOf(first), messageOf(first), remedyOf(first));
}

function firstOf(details: ValidationErrorItem[]): ValidationErrorItem {
  return details.find((detail) => detail.type !== 'object.unknown') ?? details[0]!;
}

interface ObjectContext {
  peers?: string[];
  present?: string[];
  missing?: string[];
  main?: string;
  peer?: string;
}

/** A rule over several fields names the first of them, a missing field itself. */
function pathOf(detail: ValidationErrorItem): string {
  const context = (detail.context ?? {}) as ObjectContext;
  const concerned: Record<string, string | undefined> = {
    'object.and': context.missing?.[0],
    'object.missing': context.peers?.[0],
    'object.xor': context.present?.[0] ?? context.peers?.[0],
    'object.oxor': context.present?.[0],
    'object.with': context.peer,
    'object.without': context.main,
  };
  return [
    ...detail.path.map(String),
    ...(concerned[detail.type] === undefined ? [] : [concerned[detail.type]!]),
  ].join('.');
}

function messageOf(detail: ValidationErrorItem): string {
  const context = detail.context as Record<string, unknown> | undefined;
  const list = (items: unknown) => (Array.isArray(items) ? items.join(', ') : '');
  switch (detail.type) {
    case 'any.required':
      return 'is missing';
    case 'object.unknown':
      return 'is not a known field';
    case 'number.base':
      return context?.value === Infinity || context?.value === -Infinity
        ? 'must be finite'
        : 'must be a number';
    case 'number.infinity':
      return 'must be finite';
    case 'string.base':
      return 'must be text';
    case 'boolean.base':
      return 'must be true or false';
    case 'array.base':
      return 'must be a list';
    case 'object.base':
      return 'must be an object';
    case 'string.empty':
      return 'must not be empty';
    case 'number.integer':
      return 'must be a whole number';
    case 'any.only':
      return `must be one of ${list(context?.valids)}`;
    case 'object.oxor':
    case 'object.xor':
      return `give exactly one of ${list(context?.peers)}`;
    case 'object.missing':
      return `give one of ${list(context?.peers)}`;
    case 'object.and':
      return `is missing: it belongs to ${list(context?.present)}`;
    case 'object.with':
      return `is missing: it belongs to ${String(context?.main)}`;
    case 'object.without':
      return `does not go with ${String(context?.peer)}`;
    default: {
      const label = String(context?.label ?? '');
      const text = detail.message.startsWith(label)
        ? detail.message.slice(label.length).trim()
        : detail.message;
      return text === '' ? 'is not valid' : text;
    }
  }
}

function remedyOf(detail: ValidationErrorItem): string | undefined {
  const context = detail.context as { limit?: unknown } | undefined;
  if (detail.type === 'any.required') return 'add the field';
  if (detail.type === 'object.unknown') return 'check its spelling or take it out';
  if (detail.type === 'number.base') return 'write a plain number without quotes or unit';
  if (typeof context?.limit === 'number' && detail.type.startsWith('number.'))
    return `stay ${detail.type === 'number.min' ? 'at or above' : detail.type === 'number.max' ? 'at or below' : detail.type === 'number.greater' ? 'above' : 'below'} ${context.limit}`;
  return undefined;
}

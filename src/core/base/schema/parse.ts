import type { Schema, ValidationErrorItem } from 'joi';
import { type CalcError, refusal, type Refused, type SchemaContext } from '../errors';
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
  throw refusalOf(firstOf(error.details));
}

/** Everything that a schema has against an input, field by field. */
export const allAgainst = (schema: Schema, input: unknown): Refused[] =>
  (schema.validate(input, OPTIONS).error?.details ?? []).map((detail) => refusalOf(detail).refused);

const refusalOf = (detail: ValidationErrorItem): CalcError =>
  refusal(pathOf(detail), 'schema.rule', {
    rule: detail.type,
    label: String(detail.context?.label ?? ''),
    about: contextOf(detail),
    said: detail.message,
  });

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

/** What the rule was about, as far as words need it. */
function contextOf({ context = {} }: ValidationErrorItem): SchemaContext {
  const { limit, value, valids, types, peers, present, main, peer } = context as Record<string, unknown>;
  const texts = (list: unknown) => (Array.isArray(list) ? list.map(String) : undefined);
  return defined({
    limit: typeof limit === 'number' ? limit : undefined,
    infinite: value === Infinity || value === -Infinity ? true : undefined,
    valids: texts(valids),
    types: texts(types),
    peers: texts(peers),
    present: texts(present),
    main: main === undefined ? undefined : String(main),
    peer: peer === undefined ? undefined : String(peer),
  });
}

const defined = (context: { [K in keyof SchemaContext]: SchemaContext[K] | undefined }): SchemaContext =>
  Object.fromEntries(Object.entries(context).filter(([, one]) => one !== undefined));

import type { Schema } from 'joi';

interface Description {
  type?: string;
  flags?: { presence?: string; default?: unknown; only?: boolean; description?: string; unknown?: boolean };
  allow?: unknown[];
  keys?: Record<string, Description>;
  items?: Description[];
  rules?: { name: string; args?: Record<string, unknown> }[];
  dependencies?: { rel: string; peers?: string[]; peer?: string; key?: { path?: string[] } }[];
  matches?: { schema?: Description; then?: Description; otherwise?: Description }[];
  patterns?: { rule: Description }[];
  whens?: { then?: Description; otherwise?: Description }[];
}

export type JsonSchema = Record<string, unknown>;

/** JSON Schema (draft 2020-12) of a Joi schema, for what this product uses of Joi. */
export function jsonSchema(schema: Schema, title?: string): JsonSchema {
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    ...(title ? { title } : {}),
    ...convert(schema.describe() as Description),
  };
}

function convert(d: Description): JsonSchema {
  const annotations: JsonSchema = {};
  if (d.flags?.description) annotations.description = d.flags.description;
  if (d.flags?.default !== undefined && typeof d.flags.default !== 'function' && !isDeep(d.flags.default))
    annotations.default = d.flags.default;
  if (d.flags?.only && d.allow) return { ...annotations, enum: d.allow };
  const body = bodyOf(d);
  const extra = (d.allow ?? []).filter((value) => value === null || value === '');
  if (extra.length > 0 && Object.keys(body).length > 0)
    return { ...annotations, anyOf: [{ enum: extra }, body] };
  return { ...annotations, ...body };
}

const isDeep = (value: unknown) => typeof value === 'object' && value !== null && 'special' in value;

function bodyOf(d: Description): JsonSchema {
  switch (d.type) {
    case 'number':
      return { type: 'number', ...numberRules(d) };
    case 'string':
      return { type: 'string', minLength: 1, ...textRules(d) };
    case 'boolean':
      return { type: 'boolean' };
    case 'array':
      return {
        type: 'array',
        ...(d.items
          ? { items: d.items.length === 1 ? convert(d.items[0]!) : { anyOf: d.items.map(convert) } }
          : {}),
        ...listRules(d),
      };
    case 'object':
      return objectBody(d);
    case 'alternatives':
      return {
        anyOf: (d.matches ?? []).flatMap(({ schema, then, otherwise }) =>
          (schema && !then ? [schema] : [then, otherwise]).flatMap((one) => (one ? [convert(one)] : [])),
        ),
      };
    default:
      return d.whens
        ? {
            anyOf: d.whens.flatMap(({ then, otherwise }) =>
              [then, otherwise].flatMap((one) => (one ? [convert(one)] : [])),
            ),
          }
        : {};
  }
}

function objectBody(d: Description): JsonSchema {
  const keys = Object.entries(d.keys ?? {});
  const required = keys.filter(([, key]) => key.flags?.presence === 'required').map(([name]) => name);
  const open = d.patterns?.[0];
  return {
    type: 'object',
    properties: Object.fromEntries(
      keys.map(([name, key]) => [name, key.flags?.presence === 'forbidden' ? false : convert(key)]),
    ),
    ...(required.length > 0 ? { required } : {}),
    additionalProperties: open ? convert(open.rule) : d.keys === undefined || d.flags?.unknown === true,
    ...dependenciesOf(d),
  };
}

function dependenciesOf(d: Description): JsonSchema {
  const all: JsonSchema[] = [];
  const dependentRequired: Record<string, string[]> = {};
  for (const { rel, peers = [] } of d.dependencies ?? []) {
    const names = peers.map((peer) =>
      typeof peer === 'string' ? peer : String((peer as { key?: string }).key),
    );
    if (rel === 'xor') all.push({ oneOf: names.map((name) => ({ required: [name] })) });
    else if (rel === 'oxor') all.push({ not: { required: names } });
    else if (rel === 'or') all.push({ anyOf: names.map((name) => ({ required: [name] })) });
    else if (rel === 'and')
      for (const name of names) dependentRequired[name] = names.filter((other) => other !== name);
    else if (rel === 'with') {
      const key = (d.dependencies ?? []).find((dependency) => dependency.peers === peers) as
        { key?: string } | undefined;
      if (key?.key) dependentRequired[String(key.key)] = names;
    } else if (rel === 'without') {
      const key = (d.dependencies ?? []).find((dependency) => dependency.peers === peers) as
        { key?: string } | undefined;
      if (key?.key) all.push(...names.map((name) => ({ not: { required: [String(key.key), name] } })));
    }
  }
  return {
    ...(all.length > 0 ? { allOf: all } : {}),
    ...(Object.keys(dependentRequired).length > 0 ? { dependentRequired } : {}),
  };
}

const argument = (rule: { args?: Record<string, unknown> }) => Object.values(rule.args ?? {})[0];

function numberRules(d: Description): JsonSchema {
  const names: Record<string, string> = {
    min: 'minimum',
    max: 'maximum',
    greater: 'exclusiveMinimum',
    less: 'exclusiveMaximum',
  };
  const body: JsonSchema = {};
  for (const rule of d.rules ?? []) {
    if (rule.name === 'integer') body.type = 'integer';
    if (rule.name === 'compare')
      body[names[String((rule as { operator?: string }).operator)] ?? ''] = argument(rule);
    const name = names[rule.name];
    if (name) body[name] = argument(rule);
  }
  delete body[''];
  // a limit set by another field has no word in JSON Schema
  return Object.fromEntries(Object.entries(body).filter(([, limit]) => typeof limit !== 'object'));
}

function textRules(d: Description): JsonSchema {
  const body: JsonSchema = {};
  for (const rule of d.rules ?? []) {
    if (rule.name === 'max') body.maxLength = argument(rule);
    if (rule.name === 'min') body.minLength = argument(rule);
    if (rule.name === 'pattern') body.pattern = String(rule.args?.regex).replace(/^\/|\/[a-z]*$/g, '');
    if (rule.name === 'isoDate') body.format = 'date-time';
  }
  return body;
}

function listRules(d: Description): JsonSchema {
  const body: JsonSchema = {};
  for (const rule of d.rules ?? []) {
    if (rule.name === 'min') body.minItems = argument(rule);
    if (rule.name === 'max') body.maxItems = argument(rule);
  }
  return body;
}

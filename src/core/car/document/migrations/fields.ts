/** A document of any version, before its schema has seen it. */
export type Fields = Record<string, unknown>;

export const fieldsOf = (value: unknown): Fields | undefined =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Fields) : undefined;

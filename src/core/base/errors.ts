/** What every answer says of a refusal: where, what, and what to do about it. */
export interface Problem {
  /** Dotted path of the field, list items by index (`readings.2.to`); empty for the input as a whole. */
  readonly path: string;
  readonly message: string;
  readonly remedy?: string;
}

/** Facts of each refusal by its code; what refuses adds its own beside it, and src/words has the words for each. */
export interface RefusalFacts {
  /** Of the schema: its rule, and what that was about. */
  'schema.rule': {
    readonly rule: string;
    readonly label: string;
    readonly about: SchemaContext;
    readonly said: string;
  };
}

/** What a schema's rule was about. */
export interface SchemaContext {
  readonly limit?: number;
  readonly infinite?: boolean;
  readonly valids?: readonly string[];
  readonly types?: readonly string[];
  readonly peers?: readonly string[];
  readonly present?: readonly string[];
  readonly main?: string;
  readonly peer?: string;
}

export type RefusalCode = keyof RefusalFacts;

/** A refusal that can leave a worker: a code at a path, with the quantities and names that its words tell. */
export type Refused = {
  [C in RefusalCode]: { readonly path: string; readonly code: C; readonly given: RefusalFacts[C] };
}[RefusalCode];

/** Refusal of an input; its words are made for the reader, and its message is for a log. */
export class CalcError extends Error {
  constructor(readonly refused: Refused) {
    super(`${refused.path}: ${refused.code} ${JSON.stringify(refused.given)}`);
    this.name = 'CalcError';
  }

  get path(): string {
    return this.refused.path;
  }

  /** The same of a field that stands elsewhere. */
  at(path: string): CalcError {
    return new CalcError({ ...this.refused, path });
  }
}

type Given<C extends RefusalCode> = keyof RefusalFacts[C] extends never ? [] : [given: RefusalFacts[C]];

/** A refusal at a path, by its code and its facts. */
export const refusal = <C extends RefusalCode>(path: string, code: C, ...[given]: Given<C>): CalcError =>
  new CalcError({ path, code, given: given ?? {} } as Refused);

/** What a piece of work comes to, or why it was refused. */
export function refusedOr<T>(work: () => T): { readonly value: T } | { readonly refused: Refused } {
  try {
    return { value: work() };
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return { refused: error.refused };
  }
}

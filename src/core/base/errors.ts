/** What every door says when it refuses: where, what, and what to do about it. */
export interface Problem {
  /** Dotted path of the field, list items by index (`readings.2.to`); empty for the input as a whole. */
  readonly path: string;
  readonly message: string;
  readonly remedy?: string;
}

/** Refusal of an input. Calc adds the operation's name, the API a code. */
export class CalcError extends Error implements Problem {
  readonly path: string;
  readonly remedy?: string;

  constructor(path: string, message: string, remedy?: string) {
    super(message);
    this.name = 'CalcError';
    this.path = path;
    if (remedy !== undefined) this.remedy = remedy;
  }

  get problem(): Problem {
    return {
      path: this.path,
      message: this.message,
      ...(this.remedy === undefined ? {} : { remedy: this.remedy }),
    };
  }
}

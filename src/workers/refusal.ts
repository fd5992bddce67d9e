import { CalcError } from '@/core/base/errors';

/** What a page shows of a refusal; an error's fields do not survive the way out of a worker. */
export interface Refusal {
  readonly refused: { readonly path: string; readonly message: string; readonly remedy?: string };
}

/** Work, or the refusal that it throws. */
export function told<T>(work: () => T): T | Refusal {
  try {
    return work();
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return refusalOf(error);
  }
}

export const refusalOf = ({ path, message, remedy }: CalcError): Refusal => ({
  refused: { path, message, ...(remedy ? { remedy } : {}) },
});

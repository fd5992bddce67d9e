import { CalcError, type Refused } from '@/core/base/errors';

/** What a page shows of a refusal; an error's fields do not survive the way out of a worker. */
export interface Refusal {
  readonly refused: Refused;
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

export const refusalOf = ({ refused }: CalcError): Refusal => ({ refused });

import { CalcError } from '../../base/errors';

/** What is refused of a corner, refused where the corner stands in a larger input. */
export function inCorner<T>(work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    throw error.at(error.path === '' ? 'corner' : `corner.${error.path}`);
  }
}

import { TABLES } from '../../physics/diagnosis/tables';
import type { Check } from '../../verdict/engine/check';

/** Margins of single parts are told apart by how they break; their check is one. */
const PARTS = 'parts';

/**
 * The checks of a build that a cause of a failure shows in, the worst first; of parts only the one that failed.
 *
 * @param cause as the diagnosis names it
 */
export function curesOf<C extends Pick<Check, 'id' | 'state' | 'margin'>>(
  cause: string,
  partId: string | undefined,
  checks: readonly C[],
): C[] {
  const speaking = Object.entries(TABLES.margins).flatMap(([prefix, causes]) =>
    causes.includes(cause) ? [prefix] : [],
  );
  const speaks = (id: string): boolean =>
    id.startsWith(`${PARTS}.`)
      ? partId !== undefined &&
        id === `${PARTS}.${partId}` &&
        speaking.some((one) => one.split('.')[0] === PARTS)
      : speaking.some(
          (prefix) => id === prefix || id.startsWith(`${prefix}:`) || id.startsWith(`${prefix}.`),
        );
  return checks
    .filter(({ id, state }) => state !== 'unknown' && speaks(id))
    .sort((a, b) => (a.margin ?? Infinity) - (b.margin ?? Infinity));
}

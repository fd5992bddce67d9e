import { familyOf } from '../../verdict/engine/family';
import { FACES, FAMILIES } from '../../verdict/faces';
import { fixHeld } from '../../worked/field/lives';
import type { FailureRecord } from '../../car/records/records';
import type { Check } from '../../verdict/engine/check';
import type { BuildOnRecord } from '../../verdict/engine/onRecord';
import { WEIGHTS } from './definition';

/** Failures that a revision still has coming: without a fix, or with one that did not hold or that it does not have. */
export function unmended({
  failures,
  revisions,
  runs,
  revisionId,
}: Pick<BuildOnRecord, 'failures' | 'revisions' | 'runs' | 'revisionId'>): FailureRecord[] {
  return failures.filter((failure) => {
    if (!failure.fix) return true;
    const held = fixHeld(failure, revisions, runs, failures, revisionId);
    return held ? held.again > 0 || held.lost : failure.fixRevisionId !== undefined;
  });
}

const SUPPORTS: ReadonlyMap<string, readonly string[]> = new Map([
  ...FACES.map(({ id, supports }) => [id, supports] as const),
  ...FAMILIES.map(({ family, supports }) => [family, supports] as const),
]);

/** Causes of a failure that a small margin of this check speaks for. */
export const supportsOf = (id: string): readonly string[] =>
  SUPPORTS.get(id) ?? SUPPORTS.get(familyOf(id)) ?? [];

/** Failures whose verdict is a cause that the margin of this check speaks for; of a part only its own. */
export function failuresBehind(
  { id }: Pick<Check, 'id'>,
  failures: readonly FailureRecord[],
): FailureRecord[] {
  const causes = supportsOf(id);
  const part = familyOf(id) === 'parts' ? id.slice('parts.'.length) : undefined;
  return failures.filter(
    ({ ledger, partId }) =>
      (part === undefined || part === partId) &&
      ledger?.verdict?.cause !== undefined &&
      causes.includes(ledger.verdict.cause),
  );
}

/** How much a check weighs: by its state, by how far it is over, and once more for each failure that it explains. */
export function weightOf(
  check: Pick<Check, 'id' | 'state' | 'margin'>,
  failures: readonly FailureRecord[],
): number {
  const far =
    check.state === 'over' && check.margin !== undefined ? 1 - Math.max(0, Math.min(1, check.margin)) : 0;
  return (WEIGHTS[check.state] + far) * (1 + failuresBehind(check, failures).length);
}

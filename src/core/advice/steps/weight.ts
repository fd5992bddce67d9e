import { TABLES } from '../../physics/diagnosis/tables';
import { fixHeld } from '../../worked/field/lives';
import type { FailureRecord } from '../../car/records/records';
import type { Check } from '../../verdict/engine/check';
import type { BuildOnRecord } from '../../verdict/record';
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

const PREFIXES = Object.keys(TABLES.margins).sort((a, b) => b.length - a.length);
const prefixOf = (id: string) =>
  PREFIXES.find((prefix) => id === prefix || id.startsWith(`${prefix}:`) || id.startsWith(`${prefix}.`));

/** Failures whose verdict is a cause that the margin of this check speaks for; of a part only its own. */
export function failuresBehind(
  { id }: Pick<Check, 'id'>,
  failures: readonly FailureRecord[],
): FailureRecord[] {
  const prefix = prefixOf(id);
  if (!prefix) return [];
  const causes = TABLES.margins[prefix]!;
  const part = prefix.startsWith('parts') ? id.slice(prefix.length + 1) : undefined;
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

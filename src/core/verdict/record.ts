import type { Check } from './engine/check';
import type { BuildOnRecord } from './engine/onRecord';
import { RECORD_CHECKS } from './faces';

/** Checks that stand on what was printed, run and broken, rather than on the document alone. */
export const checksOnRecord = (record: BuildOnRecord): Check[] =>
  RECORD_CHECKS.filter(({ applies }) => applies?.(record) ?? true).map(({ id, at, quantity, kind, find }) => {
    const found = find(record);
    const base = { id, ...at, quantity, kind, remedies: [] };
    return 'missing' in found
      ? { ...base, state: 'unknown', missing: found.missing }
      : { ...base, ...found, missing: [] };
  });

import { TABLES } from '@/core/physics/diagnosis/tables';
import type { Verdict } from '@/core/car/records/failureLedger';

/** What a verdict found. */
export const verdictWords = ({ cause, words }: Verdict): string =>
  TABLES.causes.find(({ id }) => id === cause)?.means ?? words ?? cause ?? 'without a cause';

import type { FailureLedger } from '@/core/car/records/failureLedger';
import type { FailureSheet } from '@/core/car/records/records';

/** The kind that none of the others is. */
export const OWN = 'own';

/** What the sheet holds while it is filled in. */
export interface Typed {
  partId: string;
  partName: string;
  mode: string;
  runId: string;
  hours?: number;
  story: string;
  ledger: { modeWords: string; lostMinutes?: number; copyId?: string };
}

export const typedOf = (given: FailureSheet | undefined): Typed => ({
  partId: given?.partId ?? '',
  partName: given?.partName ?? '',
  mode: given?.mode ?? '',
  runId: given?.runId ?? '',
  ...(given?.hours === undefined ? {} : { hours: given.hours }),
  story: given?.story ?? '',
  ledger: {
    modeWords: given?.ledger?.modeWords ?? '',
    ...(given?.ledger?.lostMinutes === undefined ? {} : { lostMinutes: given.ledger.lostMinutes }),
    ...(given?.ledger?.copyId === undefined ? {} : { copyId: given.ledger.copyId }),
  },
});

export const ledgerOf = (
  { mode, ledger: { modeWords, lostMinutes } }: Typed,
  copyId: string,
): FailureLedger => ({
  ...(mode === OWN && modeWords.trim() !== '' ? { modeWords: modeWords.trim() } : {}),
  ...(lostMinutes === undefined ? {} : { lostMinutes }),
  ...(copyId === '' ? {} : { copyId }),
});

export const WORDS = {
  partName: 'Which part? Choose one from the list or type its name.',
  mode: 'How did it fail? Choose the nearest; "Something else" is one of them.',
};

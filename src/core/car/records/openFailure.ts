import type { FailureRecord } from './records';

/** Open until a verdict or a fix closes it. */
export const isOpen = ({ fix, ledger }: Pick<FailureRecord, 'fix' | 'ledger'>): boolean =>
  !fix && !ledger?.verdict;

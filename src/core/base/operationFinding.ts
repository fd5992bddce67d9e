import type { Finding } from './finding';

/** What an operation found, the worst first in its list; a note is no check. */
export interface OperationFinding {
  severity: 'over' | 'tight' | 'note';
  about: string;
  why: Finding;
  remedy?: Finding;
}

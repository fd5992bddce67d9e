import type { Outcome } from '../../physics/diagnosis/diagnose';
import type { Photo } from './report';

/** One look at a failure: what its checks said, and the verdict that closed it. */
export interface Round {
  outcomes: { check: string; result: Outcome; at: string }[];
  verdict?: Verdict;
}

export interface Verdict {
  /** A cause of the tables, or one in own words. */
  cause?: string;
  words?: string;
  at: string;
}

/** What is known about a failure beside what happened. */
export interface FailureLedger {
  /** What happened in own words, where none of the known kinds is it. */
  modeWords?: string;
  copyId?: string;
  clues?: string[];
  stateOfCharge?: number;
  motorCaseC?: number;
  wet?: boolean;
  impactMps?: number;
  repaired?: boolean;
  crackedBefore?: boolean;
  changesSinceGood?: string[];
  photos?: Photo[];
  /** Until it ran again, min. */
  lostMinutes?: number;
  outcomes?: Round['outcomes'];
  verdict?: Verdict;
  /** Looks before it was opened again. */
  rounds?: Round[];
}

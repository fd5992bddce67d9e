import type { Thresholds } from './engine/check';

/** What a workshop sets for all of its builds. */
export interface WorkshopSettings {
  thresholds?: Thresholds;
  /** Prints that take longer are made before they are needed, min. */
  printAheadMinutes?: number;
}

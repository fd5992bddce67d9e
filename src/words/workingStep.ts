import type { QuantityName } from '@/core/base/units/quantities';

/** One line of the working of a figure: the formula with its numbers, and what comes out. */
export interface WorkingStep {
  readonly label: string;
  readonly formula: string;
  readonly value?: number;
  readonly quantity?: QuantityName;
  readonly source?: string;
}

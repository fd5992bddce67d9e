import type { QuantityName } from './units/quantities';

/** A number with its kind; src/words writes it for a reader. */
export interface Measure {
  readonly value: number;
  readonly quantity: QuantityName;
  /** Significant digits, where not the usual ones. */
  readonly digits?: number;
}

export const measure = (value: number, quantity: QuantityName, digits?: number): Measure => ({
  value,
  quantity,
  ...(digits === undefined ? {} : { digits }),
});

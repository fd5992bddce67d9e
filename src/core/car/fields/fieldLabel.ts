import type { QuantityName } from '../../base/units/quantities';

/** Whatever has a size is not smaller, in the unit of its field. */
export const LEAST_POSITIVE = 1e-6;

/** Bounds of a number, as the schema of the document has them. */
export interface Limits {
  readonly above?: number;
  readonly from?: number;
  readonly below?: number;
  readonly to?: number;
}

export interface FieldLabel {
  readonly label: string;
  readonly quantity?: QuantityName;
  readonly limits?: Limits;
}

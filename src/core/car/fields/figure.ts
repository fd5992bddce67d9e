import type { QuantityName } from '../../base/units/quantities';
import type { Limits } from './fieldLabel';

interface Any {
  /** May be left out. */
  readonly optional?: true;
}

/** A figure of a thing, declared once: its schema, its field on a page and its column follow. */
export type Figure =
  | (Any & { readonly quantity: QuantityName; readonly limits: Limits; readonly whole?: true })
  | (Any & { readonly oneOf: readonly string[] })
  /** At most so many characters. */
  | (Any & { readonly text: number })
  /** Id of another thing of the library. */
  | (Any & { readonly itemOf: string })
  | (Any & { readonly yesNo: true });

/** What describes a thing besides its name and whatever else is left out. */
export type Figures<T, LeftOut extends keyof T = never> = {
  readonly [K in Exclude<keyof T, 'name' | 'libraryId' | LeftOut>]-?: Figure;
};

/** The same figures where each may be left out. */
export const optional = (figures: Readonly<Record<string, Figure>>): Readonly<Record<string, Figure>> =>
  Object.fromEntries(Object.entries(figures).map(([key, figure]) => [key, { ...figure, optional: true }]));

/** The figure where it may not be left out. */
export function required<F extends Figure>(figure: F): F {
  const { optional: _, ...kept } = figure;
  return kept as F;
}

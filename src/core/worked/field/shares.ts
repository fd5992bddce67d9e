import type { BuildDocument } from '../../car/document/document';
import { type Knob, KNOBS, scaled, spreadsOf } from './knobs';

/**
 * What each figure that is not known exactly does to a value: half of what it moves by between one standard deviation up and down.
 *
 * @returns in the unit of the value
 * @see JCGM 100, 5.1.3, note 2 (numerical sensitivities)
 */
export function sharesOf(
  document: BuildDocument,
  surfaceId: string,
  valueOf: (car: BuildDocument) => number | undefined,
  value: number,
): Record<Knob, number> {
  const spreads = spreadsOf(document, surfaceId);
  const moved = (knob: Knob, factor: number) =>
    valueOf(scaled(document, surfaceId, { [knob]: factor })) ?? value;
  return Object.fromEntries(
    KNOBS.map((knob) => [
      knob,
      Math.abs(moved(knob, 1 + spreads[knob]) - moved(knob, Math.max(0, 1 - spreads[knob]))) / 2,
    ]),
  ) as Record<Knob, number>;
}

/** The figure that does most, where any does something. */
export function largestOf(shares: Readonly<Record<Knob, number>>): Knob | undefined {
  const largest = KNOBS.reduce((a, b) => (shares[b] > shares[a] ? b : a));
  return shares[largest] > 0 ? largest : undefined;
}

import { formatNumber, formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { MadeKind } from '@/core/car/parts/partMade';
import type { PartPull } from '@/core/car/parts/parts';
import type { MeasureResult } from '@/core/physics/solid/measure';
import { firstOfCases } from '@/core/worked/parts/solidOfPart';
import { MADE_NAMES } from '../labels/made';
import { counted, firstUp } from '../lists';

const sizeOf = ({ boundsMm: { min, max } }: MeasureResult, reader: Reader): string =>
  ([0, 1, 2] as const).map((axis) => formatText(max[axis] - min[axis], 'lengthMm', reader, 3)).join(' × ');

/** How large a drawn part is and what it weighs when it is filled. */
export const drawnSays = (
  as: MadeKind,
  measure: MeasureResult,
  densityGPerCm3: number | undefined,
  reader: Reader,
): string =>
  `${MADE_NAMES[as]}: ${sizeOf(measure, reader)}${densityGPerCm3 === undefined ? '' : `, ${formatText((measure.volumeMm3 / 1000) * densityGPerCm3, 'massG', reader, 3)} when filled`}.`;

/** What it is held and tried by. */
export function heldSays(held: number, pulls: readonly PartPull[]): string {
  if (held === 0 || pulls.length === 0)
    return 'Nothing is known that holds or pulls it; say so under Own mesh.';
  return `Held at ${counted(held, 'place', 'places')} and tried by ${counted(firstOfCases(pulls).length, 'load case', 'load cases')}, each where the car has it.`;
}

/** The drawn part's mass in place of the one that is written. */
export const takeMassWords = (drawnG: number, writtenG: number, reader: Reader): string =>
  `take ${formatText(drawnG, 'massG', reader, 3)} as its mass, which says ${formatText(writtenG, 'massG', reader, 3)}`;

/** An own mesh beside the drawn one. */
export function besideSays(own: MeasureResult, drawn: MeasureResult, reader: Reader): string {
  const share = own.volumeMm3 / drawn.volumeMm3;
  const more =
    Math.abs(share - 1) < 0.005 ? undefined : formatNumber(100 * Math.abs(share - 1), reader.locale, 2);
  return firstUp(
    `your own mesh lies over it: ${sizeOf(own, reader)}, ${more === undefined ? 'as much plastic' : `${more} % ${share > 1 ? 'more' : 'less'} plastic`}.`,
  );
}

import { formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { StageKind } from '@/core/car/stages/stage';
import type { DrawnBore, PieceName } from '@/core/worked/transmissions/made';
import type { MeasureResult } from '@/core/physics/solid/measure';
import { gearName } from '../terms';

const BELT_NAMES: Readonly<Record<PieceName, string>> = {
  pinion: 'driving pulley',
  wheel: 'driven pulley',
  pinionFlange: 'flange of the driving pulley',
  wheelFlange: 'flange of the driven pulley',
  planet: 'planet',
  carrier: 'carrier',
};

/** What a piece of a stage is called. */
export const pieceName = (kind: StageKind, piece: PieceName): string =>
  kind === 'belt' || piece === 'carrier' || piece === 'pinionFlange' || piece === 'wheelFlange'
    ? BELT_NAMES[piece]
    : gearName(kind, piece);

/** How the bore is drawn, and by what. */
export const boreSays = ({ targetMm, drawMm, fit, corrected }: DrawnBore, reader: Reader): string => {
  const mm = (value: number) => formatText(value, 'lengthMm', reader, 4);
  return corrected
    ? `${mm(drawMm)}, so that it comes out at ${mm(targetMm)} (${fit})`
    : `${mm(targetMm)} (${fit}), not corrected: no test piece`;
};

/** Size and weight of a piece that was made. */
export function madeSays(
  name: string,
  { boundsMm: { min, max }, volumeMm3, watertight }: MeasureResult,
  densityGPerCm3: number | undefined,
  reader: Reader,
): string {
  const side = (axis: 0 | 1 | 2) => formatText(max[axis] - min[axis], 'lengthMm', reader, 3);
  const weight =
    densityGPerCm3 === undefined
      ? ''
      : `, ${formatText((volumeMm3 / 1000) * densityGPerCm3, 'massG', reader, 3)} when filled`;
  return `The ${name} is ${side(0)} by ${side(1)}, ${side(2)} high${weight}${watertight ? '; its surface is closed' : '; its surface is NOT closed'}.`;
}

/** What stands in the part now. */
export const droppedSays = (name: string, part: string, pulled: string | undefined): string =>
  `The ${name} is the mesh of ${part} now, held ${pulled === undefined ? 'where it sits; say what pulls at it there' : `where it sits and pulled by ${pulled} at one tooth`}.`;

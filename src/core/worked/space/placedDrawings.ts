import { type Motion, subtract, turn, type Vec3 } from '../../base/vec3';
import { CalcError } from '../../base/errors';
import type { BuildDocument } from '../../car/document/document';
import type { LibraryItem } from '../../car/library/kinds';
import type { Part } from '../../car/parts/parts';
import type { MadeKind } from '../../car/parts/partMade';
import { CAR } from '../../physics/clearance/definition';
import type { DrawnPart } from '../../physics/making/drawn/drawing';
import type { MadePart } from '../making/drawer';
import { drawnOfPart } from '../making/drawnOfPart';
import { bodyName, onCar, type Side, SIDES } from './sides';

/** A part that is drawn here, where it stands in the car at rest. */
export interface PlacedDrawing {
  part: MadePart;
  drawn: DrawnPart;
  side?: Side;
  /** The body that it moves with. */
  body: string;
  /** From the drawing to the car; that of the right side mirrors it. */
  motion: Motion;
  /** The thing that it is drawn in place of. */
  inPlaceOf: string;
}

/** The body of a corner that a kind of part moves with; what moves with the chassis stands once. */
const MOVES_WITH: Partial<Readonly<Record<MadeKind, 'lower' | 'upper' | 'upright'>>> = {
  arm: 'lower',
  upright: 'upright',
};

const isMade = (part: Part): part is MadePart => part.made !== undefined;

/** Every part that is drawn here and whose place in the car is known. */
export function placedDrawings(document: BuildDocument, library: readonly LibraryItem[]): PlacedDrawing[] {
  const { wheelbaseMm } = document.chassis;
  if (wheelbaseMm === undefined) return [];
  return document.parts.items.filter(isMade).flatMap((part): PlacedDrawing[] => {
    const drawn = drawingOf(document, library, part);
    if (!drawn?.anchor) return [];
    const { as, end = 'front', arm } = part.made;
    const moves = as === 'arm' ? (arm ?? 'lower') : MOVES_WITH[as];
    const common = { part, drawn };
    if (moves === undefined)
      return [
        {
          ...common,
          body: CAR,
          motion: intoCar(drawn, as === 'plate' ? undefined : end, 'left', wheelbaseMm),
          inPlaceOf: `part-${part.id}`,
        },
      ];
    return SIDES.map((side): PlacedDrawing => ({
      ...common,
      side,
      body: bodyName(end, side, moves),
      motion: intoCar(drawn, end, side, wheelbaseMm),
      inPlaceOf: bodyName(end, side, moves),
    }));
  });
}

function drawingOf(
  document: BuildDocument,
  library: readonly LibraryItem[],
  part: MadePart,
): DrawnPart | undefined {
  try {
    const drawn = drawnOfPart(document, library, part);
    return drawn.ok ? drawn.value : undefined;
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return undefined;
  }
}

/** The drawing's axes turned into the car's, with the anchor where the car has it. */
function intoCar(
  { rows, anchor }: DrawnPart,
  end: 'front' | 'rear' | undefined,
  side: Side,
  wheelbaseMm: number,
): Motion {
  const s = side === 'left' ? 1 : -1;
  const column = (k: 0 | 1 | 2): Vec3 => [rows[0][k], rows[1][k], rows[2][k]];
  const back: Motion['rows'] = [column(0), column(1).map((one) => s * one) as unknown as Vec3, column(2)];
  const { drawing, car } = anchor!;
  const at = end === undefined ? car : onCar(car, end, side, wheelbaseMm);
  return { rows: back, shift: subtract(at, turn({ rows: back, shift: [0, 0, 0] }, drawing)) };
}

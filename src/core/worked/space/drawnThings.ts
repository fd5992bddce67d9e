import { dot, type Motion, subtract, turn, type Vec3 } from '../../base/vec3';
import { CalcError } from '../../base/errors';
import type { BuildDocument } from '../../car/document/document';
import type { LibraryItem } from '../../car/library/kinds';
import type { Part, PartMesh } from '../../car/parts/parts';
import type { MadeKind } from '../../car/parts/partMade';
import { CAR } from '../../physics/clearance/definition';
import type { DrawnPart } from '../../physics/making/drawn/drawing';
import type { MadePart } from '../making/drawer';
import { drawnOfPart } from '../making/drawnOfPart';
import { bodyName, onCar, type Side, SIDES } from './thingsOfCar';

/** A part that was drawn and made here, where it stands in the car at rest. */
export interface DrawnThing {
  id: string;
  mesh: PartMesh;
  /** The body that it moves with. */
  body: string;
  /** From the mesh to the car; that of the right side mirrors it. */
  motion: Motion;
  /** The thing that it is drawn in place of. */
  inPlaceOf: string;
}

/** The body of a corner that a kind of part moves with; what moves with the chassis stands once. */
const MOVES_WITH: Partial<Readonly<Record<MadeKind, 'lower' | 'upper' | 'upright'>>> = {
  arm: 'lower',
  upright: 'upright',
};

const isMade = (part: Part): part is MadePart & { mesh: PartMesh } =>
  part.made !== undefined && part.mesh?.madeOf !== undefined;

/** Every part that was made here and whose place in the car is known. */
export function drawnThings(document: BuildDocument, library: readonly LibraryItem[]): DrawnThing[] {
  const { wheelbaseMm } = document.chassis;
  if (wheelbaseMm === undefined) return [];
  return document.parts.items.filter(isMade).flatMap((part): DrawnThing[] => {
    const drawn = placedDrawing(document, library, part);
    if (!drawn?.anchor) return [];
    const { as, end, arm } = part.made;
    const moves = as === 'arm' ? (arm ?? 'lower') : MOVES_WITH[as];
    if (moves === undefined)
      return [
        {
          id: part.id,
          mesh: part.mesh,
          body: CAR,
          motion: intoCar(
            drawn,
            end === undefined && as === 'plate' ? undefined : (end ?? 'front'),
            'left',
            wheelbaseMm,
          ),
          inPlaceOf: `part-${part.id}`,
        },
      ];
    return SIDES.map((side): DrawnThing => ({
      id: `${part.id} ${side}`,
      mesh: part.mesh,
      body: bodyName(end ?? 'front', side, moves),
      motion: intoCar(drawn, end ?? 'front', side, wheelbaseMm),
      inPlaceOf: bodyName(end ?? 'front', side, moves),
    }));
  });
}

function placedDrawing(
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

/** Whether a motion mirrors what it moves. */
export const isMirrored = ({ rows: [a, b, c] }: Motion): boolean =>
  dot(a, [b[1] * c[2] - b[2] * c[1], b[2] * c[0] - b[0] * c[2], b[0] * c[1] - b[1] * c[0]]) < 0;

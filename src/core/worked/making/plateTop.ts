import type { BuildDocument } from '../../car/document/document';
import { ENDS } from '../../car/document/suspension';
import type { Vec3 } from '../../base/vec3';
import type { End } from '../../car/document/suspension';
import { bodiesOf } from '../chassis/bodiesOfBuild';

/** Under the lower hinges, mm, where no plate was placed. */
const UNDER_HINGE_MM = 8;

/** Height of the chassis plate's upper face over the ground, mm. */
export function plateTopMm(document: BuildDocument): number | undefined {
  const plates = document.parts.items.filter(({ kind }) => kind === 'chassis').map(({ id }) => `part-${id}`);
  const plate = bodiesOf(document).find(({ id, placed }) => placed && plates.includes(id));
  if (plate) return plate.zMm + plate.sizeMm[2] / 2;
  const hinges = ENDS.flatMap((end) => {
    const corner = document.suspension[end]?.corner;
    return corner ? [corner.lowerFront[2], corner.lowerRear[2]] : [];
  });
  return hinges.length === 0 ? undefined : Math.min(...hinges) - UNDER_HINGE_MM;
}

/** Which of the two screws of a bulkhead stand at which end of the hinge. */
export const HINGE_ENDS = ['lowerFront', 'lowerRear'] as const;

/** Plastic between the screws of a bulkhead and its hinges, mm, and the least distance from the middle. */
const [SCREW_INSIDE_MM, LEAST_AT_MM] = [11, 6];

/** To each side of the middle, where the screws of an end's bulkheads stand by themselves, mm. */
export function bulkheadScrewsMm(document: BuildDocument, end: End): number | undefined {
  const corner = document.suspension[end]?.corner;
  if (!corner) return undefined;
  const inner = Math.min(corner.lowerFront[1], corner.lowerRear[1]);
  return Math.max(LEAST_AT_MM, inner - SCREW_INSIDE_MM);
}

/** Where the bulkheads of an end are screwed to the plate, in the car's axes: left and right at both ends of the hinges. */
export function bulkheadScrews(document: BuildDocument, end: End): { id: string; at: Vec3 }[] {
  const { wheelbaseMm } = document.chassis;
  const corner = document.suspension[end]?.corner;
  const side = bulkheadScrewsMm(document, end);
  const top = plateTopMm(document);
  if (!corner || side === undefined || wheelbaseMm === undefined || top === undefined) return [];
  const axle = end === 'front' ? 0 : -wheelbaseMm;
  return HINGE_ENDS.flatMap((point) =>
    (['left', 'right'] as const).map((of) => ({
      id: `${end}-${point}-${of}`,
      at: [corner[point][0] + axle, of === 'left' ? side : -side, top] as Vec3,
    })),
  );
}

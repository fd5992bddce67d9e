import type { Vec3 } from '../../base/vec3';
import type { BuildDocument } from '../../car/document/document';
import { drivenOf, motorsInWheels } from '../../car/document/drive';
import type { End } from '../../car/document/suspension';
import type { Corner } from '../../physics/corner/corner';

/** Where nothing is said, mm: by judgement of cars of 1:10. */
export const USUAL_SHAFT = { acrossMm: 4, innerMm: 18 } as const;

/** Joints of the shaft that drives the left wheel of an end, as the corner is drawn; none where nothing drives it. */
export function shaftEnds(
  { drive, suspension }: BuildDocument,
  end: End,
  { wheelCentre: [x, y, z] }: Corner,
): readonly [inner: Vec3, outer: Vec3] | undefined {
  const innerMm = suspension[end]?.shaftInnerMm ?? USUAL_SHAFT.innerMm;
  if (motorsInWheels(drive) || !drivenOf(drive).includes(end) || innerMm >= y) return undefined;
  return [
    [x, innerMm, z],
    [x, y, z],
  ];
}

import type { Vec3 } from '../../base/vec3';
import type { BuildDocument } from '../../car/document/document';
import { drivenOf, motorsInWheels } from '../../car/document/drive';
import type { End } from '../../car/document/suspension';
import type { Corner } from '../../physics/corner/corner';

/** Where nothing is said, mm: by judgement of cars of 1:10. */
export const USUAL_SHAFT = { acrossMm: 4, innerMm: 18 } as const;

/** The left drive shaft's inner joint, as the corner is drawn. */
export function innerJointOf(
  { suspension }: BuildDocument,
  end: End,
  { wheelCentre: [x, , z] }: Corner,
): Vec3 {
  const { shaftInnerMm = USUAL_SHAFT.innerMm, shaftInnerZMm = z } = suspension[end] ?? {};
  return [x, shaftInnerMm, shaftInnerZMm];
}

/** Joints of the shaft that drives the left wheel of an end, as the corner is drawn; none where nothing drives it. */
export function shaftEnds(
  document: BuildDocument,
  end: End,
  corner: Corner,
): readonly [inner: Vec3, outer: Vec3] | undefined {
  const { drive } = document;
  const inner = innerJointOf(document, end, corner);
  if (motorsInWheels(drive) || !drivenOf(drive).includes(end) || inner[1] >= corner.wheelCentre[1])
    return undefined;
  return [inner, corner.wheelCentre];
}

import { refusal } from '../../base/errors';
import { add, carry, distance, type Motion, scale, turn, unit, type Vec3 } from '../../base/vec3';
import type { Pose } from '../corner/linkage';
import type { RodDamper, RodsCorner, TrailingArmCorner } from './definition';
import type { Stand } from './mechanism';
import { CHASSIS, type Hold } from './statics';

declare module '../../base/errors' {
  interface RefusalFacts {
    'links.short': Record<never, never>;
  }
}

const SHORT_MM = 0.01;

export function refuseShort(path: string, one: Vec3, other: Vec3): void {
  if (distance(one, other) < SHORT_MM) throw refusal(path, 'links.short');
}

const RAD = Math.PI / 180;

/** How the wheel of a corner without arms stands, by its camber and toe at rest. */
export function standOf({
  wheelCentre,
  tyreRadiusMm,
  staticCamberDeg = 0,
  staticToeDeg = 0,
}: RodsCorner | TrailingArmCorner): (pose: Pose) => Stand {
  const [g, d] = [staticCamberDeg * RAD, staticToeDeg * RAD];
  const rest: Vec3 = [Math.sin(d) * Math.cos(g), Math.cos(d) * Math.cos(g), -Math.sin(g)];
  return ({ upright }) => {
    const centre = carry(upright, wheelCentre);
    const axis = turn(upright, rest);
    const down = unit([axis[2] * axis[0], axis[2] * axis[1], axis[2] * axis[2] - 1]);
    return { centre, axis, contact: add(centre, scale(down, tyreRadiusMm)) };
  };
}

/** The damper between the chassis and the one body that carries the wheel. */
export const damperHold = ({ inner, outer }: RodDamper, upright: Motion): Hold => ({
  kind: 'rod',
  member: 'damper',
  inner,
  outer: carry(upright, outer),
  from: CHASSIS,
  to: 0,
  innerName: 'damperInner',
  outerName: 'damperOuter',
});

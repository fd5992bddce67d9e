import { refusal } from '../../base/errors';
import { carry, cross, distance, rotationAbout, subtract, unit } from '../../base/vec3';
import type { TrailingArmCorner } from './definition';
import type { Mechanism } from './mechanism';
import { CHASSIS } from './statics';
import { damperHold, refuseShort, standOf } from './wheel';

/** Rise of the wheel for a turn of the arm, mm/rad, under which it does not rise. */
const LIFTS_MM = 1e-3;

/**
 * An arm on one hinge that holds the wheel's axle fast.
 *
 * @throws CalcError at `corner.hingeInner` for a hinge without length, at `corner.wheelCentre` where turning does not lift
 */
export function trailingArmMechanism(corner: TrailingArmCorner): Mechanism {
  const { hingeInner, hingeOuter, damper, wheelCentre } = corner;
  refuseShort('corner.hingeInner', hingeInner, hingeOuter);
  refuseShort('corner.damper.inner', damper.inner, damper.outer);
  const axis = unit(subtract(hingeOuter, hingeInner));
  if (Math.abs(cross(axis, subtract(wheelCentre, hingeInner))[2]) < LIFTS_MM)
    throw refusal('corner.wheelCentre', 'links.liftsNothing');
  return {
    posable: {
      corner,
      pose: (angle, rackMm) => {
        const arm = rotationAbout(hingeInner, axis, angle);
        return { angle, rackMm, lower: arm, upper: arm, carrier: arm, upright: arm };
      },
    },
    bodies: 1,
    upright: 0,
    holds: ({ upright }) => [
      {
        kind: 'hinge',
        points: [hingeInner, hingeOuter],
        names: ['hingeInner', 'hingeOuter'],
        from: CHASSIS,
        to: 0,
      },
      damperHold(damper, upright),
    ],
    stand: standOf(corner),
    damperMm: ({ upright }) => distance(damper.inner, carry(upright, damper.outer)),
    sprungBy: 'damper',
    steers: false,
  };
}

import type { LinksForcesInput, LinksForcesResult } from './definition';
import { forcesIn } from './forces';
import { armsMechanism, type Mechanism } from './mechanism';
import { rodsMechanism } from './rods';
import { trailingArmMechanism } from './trailingArm';

/**
 * What a load on the left wheel does to links, joints and chassis, wherever the wheel stands: static, massless bodies
 * without friction, six equations each.
 *
 * @returns N, the car's axes; stations by rack, then by travel, in the order given
 * @throws CalcError at `loads` without any, at `corner.…` for a corner that is not held in one way
 * @see Hibbeler, Statics, ch. 5 and 6; Milliken, Race Car Vehicle Dynamics, ch. 17
 */
export const linksForces = (input: LinksForcesInput): LinksForcesResult =>
  forcesIn((): Mechanism => {
    const { corner } = input;
    switch (corner.kind) {
      case 'links':
        return rodsMechanism(corner);
      case 'trailingArm':
        return trailingArmMechanism(corner);
      default:
        return armsMechanism(corner);
    }
  }, input);

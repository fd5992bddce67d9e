import { circleStretches } from '../gears/bore';
import { checkRim, internalStretches, type InternalOutlineInput, ringRadii } from '../gears/internalOutline';
import { closedBody } from './closed';
import { boltHoles, type Fittings } from './fittings';
import type { Kernel, Shape3D } from './kit/kernel';
import { edgesOf, level, roundAbout, roundAll, wall } from './kit/wires';

export interface RingBodyInput
  extends InternalOutlineInput, Pick<Fittings, 'bolts' | 'boltCircleMm' | 'boltHoleMm'> {
  faceWidthMm: number;
  outsideMm: number;
}

/**
 * A ring with inner teeth as a solid, space 0 on +y.
 *
 * @throws CalcError at `outsideMm` for a rim under 0.75 modules, at the bolts that do not fit into it
 */
export function ringBody(kit: Kernel, input: RingBodyInput): Shape3D {
  const { teeth, faceWidthMm, outsideMm } = input;
  checkRim(input);
  const { root } = ringRadii(input);
  const outside = circleStretches(outsideMm / 2);
  const inner = edgesOf(kit, internalStretches(input), level(0));
  const side = wall(kit, kit.assembleWire(inner), 0, faceWidthMm);
  const outer = edgesOf(kit, outside, level(0));
  const rim = wall(kit, kit.assembleWire(outer), 0, faceWidthMm);
  const round = roundAll(inner, teeth);
  return closedBody(kit, {
    sides: [rim, ...roundAbout(side, teeth)],
    low: outer,
    high: edgesOf(kit, outside, level(faceWidthMm)),
    opening: { low: round, high: round.map((edge) => edge.clone().translate([0, 0, faceWidthMm])) },
    heightMm: faceWidthMm,
    bolts: boltHoles(input, root, outsideMm / 2),
    stubs: [],
  });
}

import { refusal } from '../../base/errors';
import { measure } from '../../base/measure';
import { circleStretches } from '../gears/bore';
import { internalStretches, type InternalOutlineInput, LEAST_RIM, ringRadii } from '../gears/internalOutline';
import { closedBody } from './closed';
import { boltHoles, type Fittings } from './fittings';
import type { Kernel, Shape3D } from './kernel';
import { edgesOf, level, roundAbout, roundAll } from './wires';

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
  const { teeth, moduleMm, faceWidthMm, outsideMm } = input;
  const { root } = ringRadii(input);
  const least = 2 * (root + LEAST_RIM * moduleMm);
  if (outsideMm < least) throw refusal('outsideMm', 'making.rim', { least: measure(least, 'fitMm', 4) });
  const outside = circleStretches(outsideMm / 2);
  const inner = edgesOf(kit, internalStretches(input), level(0));
  const side = kit.complexExtrude(
    kit.assembleWire(inner),
    [0, 0, 0],
    [0, 0, faceWidthMm],
    undefined,
    true,
  )[0];
  const outer = edgesOf(kit, outside, level(0));
  const rim = kit.complexExtrude(kit.assembleWire(outer), [0, 0, 0], [0, 0, faceWidthMm], undefined, true)[0];
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

import type { ToothInput } from '../gears/toothForm';
import { cartesian, type Stretch, toothOf, toothStretches } from '../gears/toothForm';
import { closedBody } from './closed';
import { drilled, type Fittings, fitted } from './fittings';
import type { Kernel, Shape3D, Wire } from './kit/kernel';
import { edgesOf, level, roundAbout, roundAll, turned, wall } from './kit/wires';

/** A gear with outer teeth; a helix as a gear has it, positive right-handed. */
export interface GearBodyInput extends ToothInput, Fittings {
  faceWidthMm: number;
  /** The lower half with the helix as said, the upper one its mirror. */
  double?: boolean;
}

const DEG = 180 / Math.PI;

/**
 * Spur, helical or herringbone gear as a solid: flanks are smooth surfaces over the involute.
 *
 * @returns a solid on z = 0, tooth 0 on +y there, its hub on top
 * @throws CalcError as `toothOf`, and at the fittings that do not fit
 */
export function gearBody(kit: Kernel, input: GearBodyInput): Shape3D {
  const { teeth, faceWidthMm, double = false, helixDeg = 0 } = input;
  const tooth = toothOf(input);
  const fittings = fitted(input, faceWidthMm, tooth.root);
  const contour: Stretch[] = toothStretches(tooth).stretches.map(({ curve, points }) => ({
    curve,
    points: points.map((point) => cartesian(point, 0)),
  }));
  const edges = edgesOf(kit, contour, level(0));
  const wire = kit.assembleWire(edges);
  const halves = double && helixDeg !== 0 ? 2 : 1;
  const heightMm = faceWidthMm / halves;
  const twistDeg = ((heightMm * Math.tan(helixDeg / DEG)) / tooth.pitch) * DEG;
  const side = swept(kit, wire, heightMm, twistDeg);
  const sides = roundAbout(side, teeth);
  const low = roundAll(edges, teeth);
  const high = low.map((edge) =>
    (halves === 1 ? turned(edge, twistDeg) : edge.clone()).translate([0, 0, faceWidthMm]),
  );
  const upper = halves === 1 ? [] : sides.map((one) => one.clone().mirror('XY', [0, 0, heightMm]));
  const body = closedBody(kit, {
    sides: [...sides, ...upper],
    low,
    high,
    heightMm: faceWidthMm,
    ...fittings,
  });
  return drilled(kit, body, fittings, faceWidthMm);
}

/** A contour drawn up along z, turning on the way. */
const swept = (kit: Kernel, wire: Wire, heightMm: number, twistDeg: number) =>
  twistDeg === 0
    ? wall(kit, wire, 0, heightMm)
    : kit.twistExtrude(wire, twistDeg, [0, 0, 0], [0, 0, heightMm], undefined, true)[0];

import type { BeltProfile } from '../transmissions/beltDefinition';
import { TYPICAL_BELTS } from '../transmissions/beltDefinition';
import { refusal } from '../../base/errors';
import { cartesian, type Stretch } from '../gears/toothForm';
import { circleStretches } from '../gears/bore';
import { closedBody, type Stub } from './closed';
import { drilled, type Fittings, fitted } from './fittings';
import type { Kernel, Shape3D } from './kit/kernel';
import { edgesOf, level, roundAbout, roundAll, wall } from './kit/wires';

declare module '../../base/errors' {
  interface RefusalFacts {
    'making.groove': Record<never, never>;
  }
}

/** The groove that a belt's tooth sits in, mm: as deep as it is, and as wide at the pulley's outside. */
export interface Groove {
  depthMm: number;
  widthMm: number;
  /** Between the sides of a straight one. */
  angleDeg: number;
}

/** Room round the tooth of a belt, mm on each side, and below it. */
const ROOM_MM = 0.1;
const tooth = (heightMm: number, rootMm: number, angleDeg: number): Groove => ({
  depthMm: heightMm + ROOM_MM,
  widthMm: rootMm + 2 * ROOM_MM,
  angleDeg,
});

/**
 * Grooves by pitch, mm, from the heights and root widths of belts' teeth.
 *
 * @see ISO 13050 (curvilinear), ISO 5296 (trapezoidal, inch pitches), ISO 17396 (trapezoidal, metric)
 */
export const GROOVES: Readonly<Record<BeltProfile, ReadonlyMap<number, Groove>>> = {
  curvilinear: new Map([
    [2, tooth(0.76, 1.3, 0)],
    [3, tooth(1.17, 1.9, 0)],
    [5, tooth(2.06, 3.1, 0)],
  ]),
  trapezoidal: new Map([
    [2.032, tooth(0.51, 1.14, 40)],
    [2.5, tooth(0.7, 1.5, 40)],
    [5, tooth(1.2, 2.65, 40)],
    [5.08, tooth(1.27, 2.57, 50)],
  ]),
};

export interface PulleyBodyInput extends Fittings {
  teeth: number;
  pitchMm: number;
  profile: BeltProfile;
  /** Of the belt; the toothed part is a millimetre wider. */
  widthMm: number;
}

/** How much wider than its belt a pulley is, and how a flange stands over it, mm. */
const [WIDER_MM, FLANGE_MM] = [1, 1.5];
/** Over the pulley's outside, of the belt's own height: it must not climb out. */
const FLANGE_OVER = 1;

/** Radii of a pulley, mm: outside the teeth, at the bottom of the grooves, of its flanges. */
export function pulleyRadii({ teeth, pitchMm, profile }: PulleyBodyInput) {
  const belt = TYPICAL_BELTS[profile].get(pitchMm);
  const groove = GROOVES[profile].get(pitchMm);
  if (!belt || !groove) throw refusal('pitchMm', 'making.groove');
  const outside = (pitchMm * teeth) / (2 * Math.PI) - belt.offsetMm;
  return {
    outside,
    root: outside - groove.depthMm,
    flange: outside + belt.offsetMm + FLANGE_OVER * groove.depthMm,
    groove,
  };
}

export const pulleyWidthMm = ({ widthMm }: PulleyBodyInput): number => widthMm + WIDER_MM;

/** One groove and the land behind it, clockwise, the groove's middle on +y. */
export function grooveStretches(input: PulleyBodyInput): Stretch[] {
  const { outside, root, groove } = pulleyRadii(input);
  const pitch = (2 * Math.PI) / input.teeth;
  const edge = Math.asin(Math.min(1, groove.widthMm / (2 * outside)));
  if (root <= 0 || 2 * edge >= pitch) throw refusal('teeth', 'making.groove');
  const on = (radius: number, angle: number) => cartesian({ radius, angle }, 0);
  const land: Stretch = {
    curve: 'arc',
    points: [edge, pitch / 2, pitch - edge].map((at) => on(outside, at)),
  };
  const [left, right] = [on(outside, -edge), on(outside, edge)];
  if (input.profile === 'curvilinear') return [{ curve: 'arc', points: [left, on(root, 0), right] }, land];
  const lean = groove.depthMm * Math.tan((groove.angleDeg * Math.PI) / 360);
  const half = groove.widthMm / 2 - lean;
  const bottom = outside - groove.depthMm;
  return [
    { curve: 'line', points: [left, [-half, bottom]] },
    {
      curve: 'line',
      points: [
        [-half, bottom],
        [half, bottom],
      ],
    },
    { curve: 'line', points: [[half, bottom], right] },
    land,
  ];
}

/**
 * Toothed pulley as a solid, its lower flange on z = 0 and its hub upward; the upper flange is a ring of its own, so that
 * neither needs support when printed.
 *
 * @throws CalcError at `pitchMm` for a pitch whose teeth are not known, at `teeth` for too few, at the fittings that do not fit
 */
export function pulleyBody(kit: Kernel, input: PulleyBodyInput): Shape3D {
  const { root, flange } = pulleyRadii(input);
  const heightMm = pulleyWidthMm(input);
  const fittings = fitted(input, heightMm, root);
  const contour = edgesOf(kit, grooveStretches(input), level(0));
  const side = wall(kit, kit.assembleWire(contour), 0, heightMm);
  const low = roundAll(contour, input.teeth);
  const plate: Stub = { on: 'low', contour: circleStretches(flange), lengthMm: FLANGE_MM, bored: true };
  const body = closedBody(kit, {
    sides: roundAbout(side, input.teeth),
    low,
    high: low.map((edge) => edge.clone().translate([0, 0, heightMm])),
    heightMm,
    ...fittings,
    stubs: [...fittings.stubs, plate],
  });
  return drilled(kit, body, fittings, heightMm + FLANGE_MM);
}

/** The upper flange: it sits on the hub, or on the shaft where there is none. */
export function flangeBody(kit: Kernel, input: PulleyBodyInput): Shape3D {
  const { flange } = pulleyRadii(input);
  const { hubDiameterMm, boreMm } = input;
  const hole = hubDiameterMm === undefined ? boreMm / 2 : hubDiameterMm / 2 + ROOM_MM;
  const rim = circleStretches(flange);
  const low = edgesOf(kit, rim, level(0));
  return closedBody(kit, {
    sides: [wall(kit, kit.assembleWire(low), 0, FLANGE_MM)],
    low,
    high: edgesOf(kit, rim, level(FLANGE_MM)),
    heightMm: FLANGE_MM,
    bore: circleStretches(hole),
    bolts: [],
    stubs: [],
  });
}

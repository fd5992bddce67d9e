import { refusal } from '../../base/errors';
import { type Measure, measure } from '../../base/measure';
import { type Bore, boreStretches, circleStretches } from '../gears/bore';
import { type Contour, roundStub, type Stub } from './closed';
import type { Kernel, Shape3D } from './kit/kernel';

declare module '../../base/errors' {
  interface RefusalFacts {
    'making.incomplete': Record<never, never>;
    'making.hub': { bore: Measure; root: Measure };
    'making.hubLength': { width: Measure };
    'making.screwHub': Record<never, never>;
    'making.screw': { room: Measure };
    'making.bolts': { inside: Measure; outside: Measure };
    'making.boltsTouch': { fits: number };
  }
}

/** How a body sits on its shaft and what is bolted to it, mm. */
export interface Fittings extends Bore {
  hubDiameterMm?: number;
  /** Of the whole seat, the body's own width counted. */
  hubLengthMm?: number;
  /** Hole through the hub, along +y. */
  setScrewMm?: number;
  /** Number of screws. */
  bolts?: number;
  boltCircleMm?: number;
  boltHoleMm?: number;
}

/** A seat as its body is closed with. */
export interface Fitted {
  bore: Contour;
  bolts: Contour[];
  /** The hub. */
  stubs: Stub[];
  screwMm?: number;
}

/** Plastic that must be left round a hole, mm. */
const WALL_MM = 0.6;

const mm = (value: number) => measure(value, 'fitMm', 4);

/**
 * Contours of the holes and the hub of a body.
 *
 * @param widthMm of the body without its hub
 * @param rootMm radius that holes and hub must stay within
 * @throws CalcError at the field that does not fit: `boreMm`, `hexAcrossFlatsMm`, `flatDepthMm`, `hubDiameterMm`,
 * `hubLengthMm`, `setScrewMm`, `bolts`, `boltCircleMm`, `boltHoleMm`
 */
export function fitted(fittings: Fittings, widthMm: number, rootMm: number, on: Stub['on'] = 'high'): Fitted {
  const bore = boreStretches(fittings, rootMm - WALL_MM);
  const reach = boreReach(fittings);
  const { hubDiameterMm, setScrewMm } = fittings;
  const lengthMm = hubDiameterMm === undefined ? 0 : hubBeyond(fittings, widthMm, reach, rootMm);
  if (setScrewMm !== undefined && hubDiameterMm === undefined)
    throw refusal('hubDiameterMm', 'making.screwHub');
  if (setScrewMm !== undefined && setScrewMm > lengthMm - WALL_MM)
    throw refusal('setScrewMm', 'making.screw', { room: mm(Math.max(0, lengthMm - WALL_MM)) });
  return {
    bore,
    bolts: boltHoles(fittings, Math.max(reach, (hubDiameterMm ?? 0) / 2), rootMm),
    stubs: hubDiameterMm === undefined ? [] : [roundStub(on, hubDiameterMm, lengthMm)],
    ...(setScrewMm === undefined ? {} : { screwMm: setScrewMm }),
  };
}

const boreReach = ({ boreMm, hexAcrossFlatsMm }: Bore): number =>
  hexAcrossFlatsMm === undefined ? boreMm / 2 : hexAcrossFlatsMm / Math.sqrt(3);

/** How far the hub stands out of the body, mm. */
function hubBeyond(
  { hubDiameterMm, hubLengthMm }: Fittings,
  widthMm: number,
  boreMm: number,
  rootMm: number,
): number {
  const [least, most] = [2 * (boreMm + WALL_MM), 2 * (rootMm - SEAM_MM)];
  if (!(hubDiameterMm! >= least && hubDiameterMm! <= most))
    throw refusal('hubDiameterMm', 'making.hub', { bore: mm(least), root: mm(most) });
  if (hubLengthMm === undefined || hubLengthMm <= widthMm)
    throw refusal('hubLengthMm', 'making.hubLength', { width: mm(widthMm) });
  return hubLengthMm - widthMm;
}

/** Between a hub and the roots of the teeth, mm: two contours in one place could not be told apart. */
const SEAM_MM = 0.05;

/** Holes on a circle between what lies inside it and what lies outside; the first on +y. */
export function boltHoles(
  { bolts, boltCircleMm, boltHoleMm }: Pick<Fittings, 'bolts' | 'boltCircleMm' | 'boltHoleMm'>,
  insideMm: number,
  outsideMm: number,
): Contour[] {
  if (bolts === undefined && boltCircleMm === undefined && boltHoleMm === undefined) return [];
  if (bolts === undefined) throw refusal('bolts', 'making.incomplete');
  if (boltCircleMm === undefined) throw refusal('boltCircleMm', 'making.incomplete');
  if (boltHoleMm === undefined) throw refusal('boltHoleMm', 'making.incomplete');
  const least = insideMm + boltHoleMm / 2 + WALL_MM;
  const most = outsideMm - boltHoleMm / 2 - WALL_MM;
  const radius = boltCircleMm / 2;
  if (!(radius >= least && radius <= most))
    throw refusal('boltCircleMm', 'making.bolts', { inside: mm(2 * least), outside: mm(2 * most) });
  const fits = Math.floor(Math.PI / Math.asin(Math.min(1, (boltHoleMm + WALL_MM) / boltCircleMm)));
  if (bolts > Math.max(1, fits)) throw refusal('bolts', 'making.boltsTouch', { fits });
  return Array.from({ length: bolts }, (_, k) => {
    const angle = (2 * Math.PI * k) / bolts;
    return circleStretches(boltHoleMm / 2, [radius * Math.sin(angle), radius * Math.cos(angle)]);
  });
}

/** The hole of a set screw, drilled along +y from outside the hub to the bore. */
export function drilled(
  kit: Kernel,
  body: Shape3D,
  { stubs: [hub], screwMm }: Fitted,
  widthMm: number,
): Shape3D {
  if (!hub || screwMm === undefined) return body;
  const z = hub.on === 'low' ? hub.lengthMm / 2 : widthMm + hub.lengthMm / 2;
  const outside = hub.contour[0]!.points[0]![1];
  return body.cut(kit.makeCylinder(screwMm / 2, outside + PAST_MM, [0, 0, z], [0, 1, 0]));
}

const PAST_MM = 1;

import { refusal } from '../../base/errors';
import { allowableOf, lewisOf } from '../gears/strength';

declare module '../../base/errors' {
  interface RefusalFacts {
    'bearings.order': Record<never, never>;
  }
}

/** A gear that carries load: what it is made of. */
export interface GearUnderLoad {
  material: { inPlaneStrengthMpa: number; softeningC: number };
  /** The plastic's share of the tooth's section. */
  fillFactor?: number;
}

export interface ToothStrength {
  lewisY: number;
  bendingStressMpa: number;
  allowableMpa: number;
  /** Left out without load. */
  margin?: number;
}

/**
 * @param teeth virtual ones
 * @param loadMpa stress of a tooth whose form factor is 1, MPa
 */
export function toothStrength(
  { material, fillFactor = 1 }: GearUnderLoad,
  teeth: number,
  loadMpa: number,
  temperatureC: number,
): ToothStrength {
  const lewisY = lewisOf(teeth);
  const bendingStressMpa = loadMpa / lewisY;
  const allowableMpa = allowableOf(material, fillFactor, temperatureC);
  return {
    lewisY,
    bendingStressMpa,
    allowableMpa,
    ...(bendingStressMpa > 0 ? { margin: allowableMpa / bendingStressMpa } : {}),
  };
}

/** Along the gear's axis, 0 in the middle of its face, mm. */
export type BearingPlaces = [first: number, second: number];

export interface MeshForce {
  tangentialN: number;
  /** Towards the axis. */
  radialN: number;
  /** Along the axis, signed. */
  axialN: number;
  radiusMm: number;
}

/**
 * Radial loads of two bearings under one mesh; the thrust comes on top, on one of them.
 *
 * @throws CalcError at `at` for places that do not rise
 * @see Shigley, Mechanical Engineering Design, ch. 13 (statics)
 */
export function bearingLoads(
  [x1, x2]: BearingPlaces,
  { tangentialN, radialN, axialN, radiusMm }: MeshForce,
  at: string,
): [number, number] {
  if (x1 >= x2) throw refusal(at, 'bearings.order');
  const span = x2 - x1;
  const tilt = radiusMm * axialN;
  return [
    Math.hypot(tangentialN * x2, radialN * x2 - tilt) / span,
    Math.hypot(tangentialN * x1, tilt - radialN * x1) / span,
  ];
}

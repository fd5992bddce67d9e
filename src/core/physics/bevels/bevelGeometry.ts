import { refusal } from '../../base/errors';
import { gearMesh } from '../gears/mesh';
import { type Measure, measure } from '../../base/measure';

declare module '../../base/errors' {
  interface RefusalFacts {
    'bevel.angle': Record<never, never>;
    'bevel.face': { coneMm: Measure };
    'bevel.teeth': { virtual: number };
  }
}

/** What the shape of a straight bevel pair needs. */
export interface BevelShape {
  pinionTeeth: number;
  wheelTeeth: number;
  /** At the large end. */
  moduleMm: number;
  shaftAngleDeg: number;
  faceWidthMm: number;
  pressureAngleDeg: number;
  /** Of the pinion, in modules; the wheel has the opposite. */
  pinionShift: number;
}

export interface ConeOf {
  coneAngleDeg: number;
  pitchDiameterMm: number;
  meanDiameterMm: number;
  tipDiameterMm: number;
  rootDiameterMm: number;
  tipConeDeg: number;
  rootConeDeg: number;
  crownToApexMm: number;
  virtualTeeth: number;
  undercut: boolean;
  minTeethNoUndercut: number;
}

export interface Cones {
  coneDistanceMm: number;
  meanConeDistanceMm: number;
  faceWidthLimitMm: number;
  meanModuleMm: number;
  /** Strength summed along the taper over that of the mean section. */
  coneFactor: number;
  /** Of the spur gears with the virtual teeth. */
  contactRatio: number;
  pinion: ConeOf;
  wheel: ConeOf;
}

const RAD = Math.PI / 180;
const [SAME, FEWEST_VIRTUAL, ROOT_DEPTH] = [1e-9, 10, 1.25];
const [MOST_OF_CONE, MOST_MODULES] = [0.3, 10];

/**
 * Pitch, tip and root cones of a straight bevel pair whose teeth taper to the apex in depth too.
 *
 * @returns lengths in mm, angles in degrees
 * @throws CalcError at `shaftAngleDeg` for a cone of 90° or over, at `faceWidthMm` for a face as long as the cone, at teeth
 * whose virtual number is under 10
 * @see ISO 23509 (standard depth); Shigley, Mechanical Engineering Design, ch. 13 (Tredgold)
 */
export function conesOf(shape: BevelShape): Cones {
  const { pinionTeeth, wheelTeeth, moduleMm, faceWidthMm, pinionShift } = shape;
  const shaft = shape.shaftAngleDeg * RAD;
  const small = Math.atan2(Math.sin(shaft), wheelTeeth / pinionTeeth + Math.cos(shaft));
  const large = shaft - small;
  if (Math.max(small, large) >= Math.PI / 2 - SAME) throw refusal('shaftAngleDeg', 'bevel.angle');
  const coneMm = (moduleMm * pinionTeeth) / (2 * Math.sin(small));
  if (faceWidthMm >= coneMm)
    throw refusal('faceWidthMm', 'bevel.face', { coneMm: measure(coneMm, 'fitMm', 4) });
  const meanMm = coneMm - faceWidthMm / 2;
  const meanModuleMm = (moduleMm * meanMm) / coneMm;
  const b = faceWidthMm / coneMm;
  const sine = Math.sin(shape.pressureAngleDeg * RAD);
  const cone = (teeth: number, angle: number, shift: number, at: string): ConeOf => {
    const virtualTeeth = teeth / Math.cos(angle);
    if (virtualTeeth < FEWEST_VIRTUAL * (1 - SAME))
      throw refusal(at, 'bevel.teeth', { virtual: Number(virtualTeeth.toPrecision(3)) });
    const addendumMm = moduleMm * (1 + shift);
    const dedendumMm = moduleMm * (ROOT_DEPTH - shift);
    const pitchDiameterMm = moduleMm * teeth;
    const least = (2 * (1 - shift)) / sine ** 2;
    return {
      coneAngleDeg: angle / RAD,
      pitchDiameterMm,
      meanDiameterMm: meanModuleMm * teeth,
      tipDiameterMm: pitchDiameterMm + 2 * addendumMm * Math.cos(angle),
      rootDiameterMm: pitchDiameterMm - 2 * dedendumMm * Math.cos(angle),
      tipConeDeg: (angle + Math.atan(addendumMm / coneMm)) / RAD,
      rootConeDeg: (angle - Math.atan(dedendumMm / coneMm)) / RAD,
      crownToApexMm: coneMm * Math.cos(angle) - addendumMm * Math.sin(angle),
      virtualTeeth,
      undercut: virtualTeeth < least - SAME,
      minTeethNoUndercut: Math.max(1, Math.ceil(least * Math.cos(angle) - SAME)),
    };
  };
  const pinion = cone(pinionTeeth, small, pinionShift, 'pinionTeeth');
  const wheel = cone(wheelTeeth, large, -pinionShift, 'wheelTeeth');
  const { contactRatio } = gearMesh({
    pinionTeeth: pinion.virtualTeeth,
    wheelTeeth: wheel.virtualTeeth,
    moduleMm: 1,
    pressureAngleDeg: shape.pressureAngleDeg,
    pinionShift,
    wheelShift: -pinionShift,
  });
  return {
    coneDistanceMm: coneMm,
    meanConeDistanceMm: meanMm,
    faceWidthLimitMm: Math.min(MOST_OF_CONE * coneMm, MOST_MODULES * moduleMm),
    meanModuleMm,
    coneFactor: (1 - b + b ** 2 / 3) / (1 - b / 2) ** 2,
    contactRatio,
    pinion,
    wheel,
  };
}

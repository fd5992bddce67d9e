import { refusal } from '../../base/errors';
import { type Finding, finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';
import type { OperationFinding } from '../../base/operationFinding';
import { gearMesh, type MeshInput } from '../gears/mesh';
import { dynamicAt, USUAL_OVERLOAD } from '../gears/strength';
import {
  bearingLoads,
  type BearingPlaces,
  type GearUnderLoad,
  type ToothStrength,
  toothStrength,
} from './underLoad';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.helical.noThrust': Record<never, never>;
  }
}
declare module '../../base/errors' {
  interface RefusalFacts {
    'helical.oneForm': Record<never, never>;
    'helical.centre': { from: Measure; to: Measure };
    'helical.shift': Record<never, never>;
    'helical.teeth': { virtual: number };
  }
}

export const HANDS = ['right', 'left'] as const;
export type Hand = (typeof HANDS)[number];
export type Way = 1 | -1;

export interface HelicalGear extends GearUnderLoad {
  bearingsAtMm?: BearingPlaces;
}

export interface HelicalInput extends Pick<
  MeshInput,
  | 'pinionTeeth'
  | 'wheelTeeth'
  | 'moduleMm'
  | 'diametralPitch'
  | 'pressureAngleDeg'
  | 'pinionShift'
  | 'wheelShift'
> {
  helixDeg?: number;
  /** In place of the helix. */
  centreDistanceMm?: number;
  /** Of each half of a double one. */
  faceWidthMm: number;
  double?: boolean;
  /** On the pinion. */
  torqueNm: number;
  /** Of the pinion. */
  speedRpm: number;
  pinion: HelicalGear;
  wheel: HelicalGear;
  temperatureC?: number;
  overloadFactor?: number;
  pinionHand?: Hand;
  pinionDrives?: boolean;
  /** Right hand about +x, the axis that both gears share. */
  pinionSpin?: Way;
  /** Of the pinion along x. */
  wishedThrust?: Way;
}

export interface HelicalGearResult extends ToothStrength {
  pitchDiameterMm: number;
  virtualTeeth: number;
  hand: Hand;
  thrustToward: Way | 0;
  undercut: boolean;
  bearingLoadsN?: [number, number];
}

export interface HelicalResult {
  ratio: number;
  helixDeg: number;
  transverseModuleMm: number;
  transversePressureAngleDeg: number;
  workingPressureAngleDeg: number;
  centreDistanceMm: number;
  transverseContactRatio: number;
  overlapRatio: number;
  totalContactRatio: number;
  /** Left out for straight teeth. */
  axialPitchMm?: number;
  faceForOverlap1Mm?: number;
  tangentialForceN: number;
  radialForceN: number;
  /** On the shaft. */
  thrustN: number;
  thrustEachHalfN: number;
  helixFactor: number;
  pitchLineMps: number;
  dynamicFactor: number;
  /** The pinion's, for the wished thrust. */
  handForWish?: Hand;
  pinion: HelicalGearResult;
  wheel: HelicalGearResult;
  findings: OperationFinding[];
  notes: Finding[];
}

const [MOST_HELIX_DEG, FEWEST_VIRTUAL, SAME] = [45, 10, 1e-9];
const [STRONGEST_AT_DEG, PER_DEG] = [30, 120];
const RAD = Math.PI / 180;
const MM_PER_INCH = 25.4;
const other = (hand: Hand): Hand => (hand === 'right' ? 'left' : 'right');

/**
 * A helical or double helical pair: overlap, forces and which way the thrust goes, bearings, bending.
 *
 * @returns lengths in mm, forces in N, stresses in MPa, speed in m/s
 * @throws CalcError at `helixDeg` for both or neither of helix and centres, at `centreDistanceMm` for a helix outside 0 to 45°,
 * at a shift beside the centres, at teeth whose virtual number is under 10, and as `gear.mesh` does
 * @see Shigley, Mechanical Engineering Design, ch. 13 and 14; ISO 21771; ISO 6336-3 (Y_β)
 */
export function gearHelical(input: HelicalInput): HelicalResult {
  const {
    pinionTeeth,
    wheelTeeth,
    faceWidthMm,
    double = false,
    torqueNm,
    speedRpm,
    temperatureC = 23,
  } = input;
  const {
    overloadFactor = USUAL_OVERLOAD,
    pinionHand = 'right',
    pinionDrives = true,
    pinionSpin = 1,
  } = input;
  const moduleMm = input.moduleMm ?? MM_PER_INCH / input.diametralPitch!;
  const helixDeg = helixOf(input, moduleMm);
  const helix = helixDeg * RAD;
  const mesh = gearMesh({ ...meshOf(input), helixDeg });
  const virtual = (teeth: number, at: string) => {
    const found = teeth / Math.cos(helix) ** 3;
    if (found < FEWEST_VIRTUAL - SAME)
      throw refusal(at, 'helical.teeth', { virtual: Number(found.toPrecision(3)) });
    return found;
  };
  const virtualTeeth = [virtual(pinionTeeth, 'pinionTeeth'), virtual(wheelTeeth, 'wheelTeeth')] as const;
  const normalAngle = (input.pressureAngleDeg ?? 20) * RAD;
  const transverseAngle = Math.atan(Math.tan(normalAngle) / Math.cos(helix));
  const overlapRatio = (faceWidthMm * Math.sin(helix)) / (Math.PI * moduleMm);
  const pitchMm = mesh.pitchDiametersMm;
  const tangentialForceN = (2000 * torqueNm) / pitchMm[0];
  const radialForceN =
    (tangentialForceN * Math.sin(mesh.workingPressureAngleDeg * RAD)) / Math.cos(transverseAngle);
  const thrust = tangentialForceN * Math.tan(helix);
  const thrustN = double ? 0 : thrust;
  const helixFactor = 1 - (Math.min(1, overlapRatio) * Math.min(STRONGEST_AT_DEG, helixDeg)) / PER_DEG;
  const pitchLineMps = (Math.PI * pitchMm[0] * speedRpm) / 60_000;
  const dynamicFactor = dynamicAt(pitchLineMps);
  const wholeFaceMm = (double ? 2 : 1) * faceWidthMm;
  const loadMpa =
    (tangentialForceN * overloadFactor * dynamicFactor * helixFactor) / (wholeFaceMm * moduleMm);
  const isStraight = helixDeg === 0;
  const sign = (pinionHand === 'right' ? 1 : -1) * pinionSpin * (pinionDrives ? 1 : -1);
  const toward = (double || isStraight ? 0 : sign) as Way | 0;
  const gear = (index: 0 | 1, own: HelicalGear, name: 'pinion' | 'wheel'): HelicalGearResult => {
    const thrustToward = (index === 0 || toward === 0 ? toward : -toward) as Way | 0;
    return {
      pitchDiameterMm: pitchMm[index],
      virtualTeeth: virtualTeeth[index],
      hand: index === 0 ? pinionHand : other(pinionHand),
      thrustToward,
      undercut: mesh.undercut[index],
      ...(own.bearingsAtMm
        ? {
            bearingLoadsN: bearingLoads(
              own.bearingsAtMm,
              {
                tangentialN: tangentialForceN,
                radialN: radialForceN,
                axialN: thrustToward * thrustN,
                radiusMm: pitchMm[index] / 2,
              },
              `${name}.bearingsAtMm`,
            ),
          }
        : {}),
      ...toothStrength(own, virtualTeeth[index], loadMpa, temperatureC),
    };
  };
  const { wishedThrust } = input;
  const noWish = wishedThrust !== undefined && toward === 0;
  const axialPitchMm = (Math.PI * moduleMm) / Math.sin(helix);
  return {
    ratio: mesh.ratio,
    helixDeg,
    transverseModuleMm: moduleMm / Math.cos(helix),
    transversePressureAngleDeg: transverseAngle / RAD,
    workingPressureAngleDeg: mesh.workingPressureAngleDeg,
    centreDistanceMm: mesh.centreDistanceMm,
    transverseContactRatio: mesh.contactRatio,
    overlapRatio,
    totalContactRatio: mesh.contactRatio + overlapRatio,
    ...(isStraight ? {} : { axialPitchMm, faceForOverlap1Mm: axialPitchMm }),
    tangentialForceN,
    radialForceN,
    thrustN,
    thrustEachHalfN: double ? thrust / 2 : thrust,
    helixFactor,
    pitchLineMps,
    dynamicFactor,
    ...(wishedThrust === undefined || noWish
      ? {}
      : { handForWish: wishedThrust === toward ? pinionHand : other(pinionHand) }),
    pinion: gear(0, input.pinion, 'pinion'),
    wheel: gear(1, input.wheel, 'wheel'),
    findings: [],
    notes: [...mesh.notes, ...(noWish ? [finding('note.helical.noThrust', {})] : [])],
  };
}

function meshOf({
  pinionTeeth,
  wheelTeeth,
  moduleMm,
  diametralPitch,
  pressureAngleDeg,
  pinionShift,
  wheelShift,
}: HelicalInput): MeshInput {
  return {
    pinionTeeth,
    wheelTeeth,
    ...(moduleMm === undefined ? {} : { moduleMm }),
    ...(diametralPitch === undefined ? {} : { diametralPitch }),
    ...(pressureAngleDeg === undefined ? {} : { pressureAngleDeg }),
    ...(pinionShift === undefined ? {} : { pinionShift }),
    ...(wheelShift === undefined ? {} : { wheelShift }),
  };
}

/** As given, or the one that brings the gears to the wished centres, degrees. */
function helixOf(input: HelicalInput, moduleMm: number): number {
  const { helixDeg, centreDistanceMm, pinionTeeth, wheelTeeth } = input;
  if ((helixDeg === undefined) === (centreDistanceMm === undefined))
    throw refusal('helixDeg', 'helical.oneForm');
  if (centreDistanceMm === undefined) return helixDeg!;
  for (const key of ['pinionShift', 'wheelShift'] as const)
    if ((input[key] ?? 0) !== 0) throw refusal(key, 'helical.shift');
  const straightMm = (moduleMm * (pinionTeeth + wheelTeeth)) / 2;
  const cosine = straightMm / centreDistanceMm;
  const most = straightMm / Math.cos(MOST_HELIX_DEG * RAD);
  if (cosine > 1 + SAME || centreDistanceMm > most * (1 + SAME))
    throw refusal('centreDistanceMm', 'helical.centre', {
      from: measure(straightMm, 'fitMm', 4),
      to: measure(most, 'fitMm', 4),
    });
  return Math.acos(Math.min(1, cosine)) / RAD;
}

import { refusal } from '../../base/errors';
import { type Finding, finding } from '../../base/finding';
import { measure, type Measure } from '../../base/measure';
import type { OperationFinding } from '../../base/operationFinding';
import { dynamicAt, USUAL_OVERLOAD } from '../gears/strength';
import {
  bearingLoads,
  type BearingPlaces,
  type GearUnderLoad,
  type ToothStrength,
  toothStrength,
} from '../transmissions/underLoad';
import {
  type BevelDifferential,
  type BevelDifferentialResult,
  insideOf,
  nominalMeshN,
  USUAL_REVERSAL,
} from './bevelDifferential';
import { type ConeOf, type Cones, conesOf } from './bevelGeometry';

declare module '../../base/finding' {
  interface FindingFacts {
    'bevel.wide': { faceMm: Measure; limitMm: Measure };
    'bevel.undercut': { least: number };
  }
}
declare module '../../base/errors' {
  interface RefusalFacts {
    'bevel.noTorque': Record<never, never>;
    'bevel.ofDifferential': Record<never, never>;
    'bevel.square': Record<never, never>;
  }
}

export interface BevelGear extends GearUnderLoad {
  /** From the tip edge at the large end back to the face that the gear sits on. */
  crownToBackMm?: number;
  /** Along the axis towards the apex. */
  bearingsAtMm?: BearingPlaces;
}

export interface BevelInput {
  pinionTeeth: number;
  wheelTeeth: number;
  /** At the large end. */
  moduleMm?: number;
  diametralPitch?: number;
  shaftAngleDeg?: number;
  faceWidthMm: number;
  pressureAngleDeg?: number;
  pinionShift?: number;
  /** On the pinion; not of a differential. */
  torqueNm?: number;
  speedRpm?: number;
  pinion: BevelGear;
  wheel: BevelGear;
  temperatureC?: number;
  overloadFactor?: number;
  differential?: BevelDifferential;
}

export interface BevelGearResult extends ConeOf, ToothStrength {
  /** From the apex to the face that it sits on. */
  mountingDistanceMm?: number;
  torqueNm: number;
  speedRpm: number;
  radialForceN: number;
  /** Away from the apex. */
  axialForceN: number;
  bearingLoadsN?: [number, number];
}

export interface BevelResult extends Omit<Cones, 'pinion' | 'wheel'> {
  ratio: number;
  loadDistributionFactor: number;
  /** At the middle of the face, of both. */
  tangentialForceN: number;
  pitchLineMps: number;
  dynamicFactor: number;
  pinion: BevelGearResult;
  wheel: BevelGearResult;
  differential?: BevelDifferentialResult;
  findings: OperationFinding[];
  notes: Finding[];
}

const RAD = Math.PI / 180;
const MM_PER_INCH = 25.4;
const SAME = 1e-9;
/** By how many of the two gears have a bearing on each side. Source: Shigley, eq. 15-11. */
const SPREAD_BY_STRADDLED = [1.25, 1.1, 1] as const;
const SPREAD_INSIDE = 1.1;
const SPREAD_PER_MM2 = 5.6e-6;
const MAX_SQUARE_ERROR_DEG = 1e-9;

/**
 * A straight bevel pair, or one mesh inside a differential: cones, forces, bearings, bending.
 *
 * @returns lengths in mm, angles in degrees, forces in N, stresses in MPa, speed in m/s
 * @throws CalcError as `conesOf`; at `torqueNm` where it is missing, and at what a differential gives by itself
 * @see ISO 23509; Shigley, Mechanical Engineering Design, ch. 13 and 15; Lewis
 */
export function gearBevel(input: BevelInput): BevelResult {
  const { pinionTeeth, wheelTeeth, faceWidthMm, differential, temperatureC = 23 } = input;
  const { pressureAngleDeg = 20, pinionShift = 0, shaftAngleDeg = 90 } = input;
  const { overloadFactor = USUAL_OVERLOAD } = input;
  refuseMixed(input);
  const moduleMm = input.moduleMm ?? MM_PER_INCH / input.diametralPitch!;
  const cones = conesOf({
    pinionTeeth,
    wheelTeeth,
    moduleMm,
    shaftAngleDeg,
    faceWidthMm,
    pressureAngleDeg,
    pinionShift,
  });
  const { pinion, wheel: _, ...shape } = cones;
  const ratio = wheelTeeth / pinionTeeth;
  const load = loadOf(input, cones, ratio);
  const tangent = Math.tan(pressureAngleDeg * RAD);
  const pitchLineMps = (Math.PI * pinion.meanDiameterMm * load.speedsRpm[0]) / 60_000;
  const dynamicFactor = dynamicAt(pitchLineMps);
  const loadDistributionFactor = spreadOf(input) + SPREAD_PER_MM2 * faceWidthMm ** 2;
  const loadMpa =
    (load.tangentialN * overloadFactor * dynamicFactor * loadDistributionFactor) /
    (faceWidthMm * shape.meanModuleMm * shape.coneFactor);
  const gear = (index: 0 | 1, name: 'pinion' | 'wheel'): BevelGearResult => {
    const [own, cone] = [input[name], cones[name]];
    const angle = cone.coneAngleDeg * RAD;
    const radialForceN = load.tangentialN * tangent * Math.cos(angle);
    const axialForceN = load.tangentialN * tangent * Math.sin(angle);
    const { margin, ...strength } = toothStrength(own, cone.virtualTeeth, loadMpa, temperatureC);
    const reversed = differential && name === 'pinion' ? (differential.reversalFactor ?? USUAL_REVERSAL) : 1;
    return {
      ...cone,
      ...(own.crownToBackMm === undefined
        ? {}
        : { mountingDistanceMm: cone.crownToApexMm + own.crownToBackMm }),
      torqueNm: load.torquesNm[index],
      speedRpm: load.speedsRpm[index],
      radialForceN,
      axialForceN,
      ...(own.bearingsAtMm
        ? {
            bearingLoadsN: bearingLoads(
              own.bearingsAtMm,
              {
                tangentialN: load.tangentialN,
                radialN: radialForceN,
                axialN: -axialForceN,
                radiusMm: cone.meanDiameterMm / 2,
              },
              `${name}.bearingsAtMm`,
            ),
          }
        : {}),
      ...strength,
      allowableMpa: strength.allowableMpa * reversed,
      ...(margin === undefined ? {} : { margin: margin * reversed }),
    };
  };
  const gears = { pinion: gear(0, 'pinion'), wheel: gear(1, 'wheel') };
  const inside = differential
    ? insideOf(differential, cones, wheelTeeth, {
        tangentialN: load.tangentialN,
        pinionAxialN: gears.pinion.axialForceN,
        tangent,
      })
    : undefined;
  return {
    ratio,
    ...shape,
    loadDistributionFactor,
    tangentialForceN: load.tangentialN,
    pitchLineMps,
    dynamicFactor,
    ...gears,
    ...(inside ? { differential: inside.result } : {}),
    findings: [...(inside?.findings ?? []), ...shapeFindings(cones, faceWidthMm)],
    notes: [],
  };
}

function refuseMixed({ torqueNm, speedRpm, shaftAngleDeg = 90, differential, pinion, wheel }: BevelInput) {
  if (!differential) {
    if (torqueNm === undefined) throw refusal('torqueNm', 'bevel.noTorque');
    return;
  }
  if (torqueNm !== undefined) throw refusal('torqueNm', 'bevel.ofDifferential');
  if (speedRpm !== undefined) throw refusal('speedRpm', 'bevel.ofDifferential');
  if (pinion.bearingsAtMm) throw refusal('pinion.bearingsAtMm', 'bevel.ofDifferential');
  if (wheel.bearingsAtMm) throw refusal('wheel.bearingsAtMm', 'bevel.ofDifferential');
  if (Math.abs(shaftAngleDeg - 90) > MAX_SQUARE_ERROR_DEG) throw refusal('shaftAngleDeg', 'bevel.square');
}

interface Load {
  tangentialN: number;
  torquesNm: [number, number];
  speedsRpm: [number, number];
}

function loadOf({ torqueNm = 0, speedRpm = 0, differential }: BevelInput, cones: Cones, ratio: number): Load {
  const meanMm = cones.pinion.meanDiameterMm;
  if (!differential)
    return {
      tangentialN: (2000 * torqueNm) / meanMm,
      torquesNm: [torqueNm, torqueNm * ratio],
      speedsRpm: [speedRpm, speedRpm / ratio],
    };
  const tangentialN = nominalMeshN(differential, cones) * (differential.sharingFactor ?? 1);
  const side = differential.sideSpeedRpm ?? 0;
  return {
    tangentialN,
    torquesNm: [(tangentialN * meanMm) / 2000, differential.caseTorqueNm / 2],
    speedsRpm: [side * ratio, side],
  };
}

function spreadOf({ pinion, wheel, differential }: BevelInput): number {
  if (differential) return SPREAD_INSIDE;
  const straddled = ({ bearingsAtMm: at }: BevelGear) => at !== undefined && at[0] < 0 && at[1] > 0;
  return SPREAD_BY_STRADDLED[[pinion, wheel].filter(straddled).length as 0 | 1 | 2]!;
}

function shapeFindings(cones: Cones, faceWidthMm: number): OperationFinding[] {
  const limitMm = cones.faceWidthLimitMm;
  return [
    ...(faceWidthMm > limitMm * (1 + SAME)
      ? [
          {
            severity: 'tight' as const,
            about: 'faceWidthMm',
            why: finding('bevel.wide', {
              faceMm: measure(faceWidthMm, 'fitMm', 3),
              limitMm: measure(limitMm, 'fitMm', 3),
            }),
          },
        ]
      : []),
    ...(['pinion', 'wheel'] as const)
      .filter((name) => cones[name].undercut)
      .map((about) => ({
        severity: 'note' as const,
        about,
        why: finding('bevel.undercut', { least: cones[about].minTeethNoUndercut }),
      })),
  ];
}

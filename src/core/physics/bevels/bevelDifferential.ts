import { finding } from '../../base/finding';
import { measure, type Measure } from '../../base/measure';
import type { OperationFinding } from '../../base/operationFinding';
import type { Cones } from './bevelGeometry';

declare module '../../base/finding' {
  interface FindingFacts {
    'bevel.notAssembled': { pinions: number; sideTeeth: number };
    'bevel.pinionsTouch': { pinions: number; overlap: Measure };
  }
}

/** The inside of a differential: the pinion is one of several, the wheel a side gear. */
export interface BevelDifferential {
  pinions: number;
  caseTorqueNm: number;
  /** Of a side gear against the case. */
  sideSpeedRpm?: number;
  /** What the busiest pinion carries over its share; from 1 on. */
  sharingFactor?: number;
  /** On the strength of a tooth that is bent both ways. */
  reversalFactor?: number;
}

export interface BevelDifferentialResult {
  assembles: boolean;
  pinionsClear: boolean;
  /** Between the tip cones of two neighbours; left out for one pinion. */
  gapDeg?: number;
  pinForceN: number;
  /** Of a pinion, outward against the case. */
  pinionThrustN: number;
  sideGearThrustN: number;
}

export const USUAL_REVERSAL = 0.7;

/** Nominal force of one mesh at the middle of the face, N. */
export const nominalMeshN = ({ pinions, caseTorqueNm }: BevelDifferential, { wheel }: Cones): number =>
  (1000 * caseTorqueNm) / 2 / pinions / (wheel.meanDiameterMm / 2);

/** Whether the pinions go in and clear each other, and what pins and case carry. */
export function insideOf(
  differential: BevelDifferential,
  cones: Cones,
  wheelTeeth: number,
  { tangentialN, pinionAxialN, tangent }: { tangentialN: number; pinionAxialN: number; tangent: number },
): { result: BevelDifferentialResult; findings: OperationFinding[] } {
  const { pinions } = differential;
  const assembles = (2 * wheelTeeth) % pinions === 0;
  const gapDeg = pinions === 1 ? undefined : 360 / pinions - 2 * cones.pinion.tipConeDeg;
  const pinionsClear = gapDeg === undefined || gapDeg > 0;
  const about = 'differential.pinions';
  return {
    result: {
      assembles,
      pinionsClear,
      ...(gapDeg === undefined ? {} : { gapDeg }),
      pinForceN: 2 * tangentialN,
      pinionThrustN: 2 * pinionAxialN,
      sideGearThrustN:
        pinions *
        nominalMeshN(differential, cones) *
        tangent *
        Math.sin((cones.wheel.coneAngleDeg * Math.PI) / 180),
    },
    findings: [
      ...(assembles
        ? []
        : [
            {
              severity: 'over' as const,
              about,
              why: finding('bevel.notAssembled', { pinions, sideTeeth: wheelTeeth }),
            },
          ]),
      ...(pinionsClear
        ? []
        : [
            {
              severity: 'over' as const,
              about,
              why: finding('bevel.pinionsTouch', { pinions, overlap: measure(-gapDeg!, 'angleDeg', 3) }),
            },
          ]),
    ],
  };
}

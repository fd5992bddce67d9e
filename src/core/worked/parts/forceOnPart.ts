import { type Finding, finding } from '../../base/finding';
import type { PartLoad } from '../../car/parts/partShape';
import type { LoadCaseName, LoadCasesResult } from '../../physics/strength/loadCases';

declare module '../../base/finding' {
  interface FindingFacts {
    'load.own': Record<never, never>;
  }
}

/** Paths that a load case waits for, where the build does not have it. */
export const CASE_NEEDS: Readonly<Record<LoadCaseName, string>> = {
  landingFourWheels: 'brief.dropHeightM',
  landingOneWheel: 'brief.dropHeightM',
  noseCrash: 'brief.targetMps',
  curbStrike: 'brief.kerbMps',
  corneringVerticalFront: 'chassis.frontLoadShare',
  corneringVerticalRear: 'chassis.frontLoadShare',
  corneringLateralFront: 'chassis.frontLoadShare',
  corneringLateralRear: 'chassis.frontLoadShare',
  brakingFront: 'chassis.frontLoadShare',
  brakingRear: 'chassis.frontLoadShare',
  tieRod: 'power.loads:steeringServo',
  driveshaft: 'drive.stages',
};

export interface ForceOnPart {
  forceN: number;
  /** Share of the case's force, where not the whole. */
  share?: number;
  /** Force of the whole case, N. */
  caseN?: number;
  how: Finding;
}

/** The force of a load, or undefined where the build does not have its case. */
export function forceOf(
  { from, share = 1, forceN }: Pick<PartLoad, 'from' | 'share' | 'forceN'>,
  { cases }: LoadCasesResult,
): ForceOnPart | undefined {
  if (from === 'own')
    return forceN === undefined ? undefined : { forceN: forceN * share, how: finding('load.own', {}) };
  const found = cases[from];
  return found?.forceN === undefined
    ? undefined
    : {
        forceN: found.forceN * share,
        ...(share === 1 ? {} : { share, caseN: found.forceN }),
        how: found.how,
      };
}

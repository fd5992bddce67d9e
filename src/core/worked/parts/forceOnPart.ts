import { type Finding, finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';
import type { Axle } from '../../car/stages/stage';
import type { WorstAt } from '../../physics/links/definition';
import type { PartPull } from '../../car/parts/parts';
import type { PartLoad } from '../../car/parts/partShape';
import type { LoadCaseName, LoadCasesResult } from '../../physics/strength/loadCases';

declare module '../../base/finding' {
  interface FindingFacts {
    'load.own': Record<never, never>;
    'load.link': { load: string; travel: Measure };
    'load.wheel': { load: string; end: Axle };
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

/** What a member or joint of an end carries at the hardest, or under one load, N; undefined while its corner is not known. */
export type LinkForceAt = (
  end: Axle,
  link: string,
  load?: string,
) => { forceN: number; at: WorstAt } | undefined;

/** What acts on a part: the cases of the car, and what its links carry. */
export type ForcesOnParts = LoadCasesResult & { readonly linkForce?: LinkForceAt };

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
  {
    from,
    share = 1,
    forceN,
    end,
    link,
    load,
  }: Pick<PartLoad, 'from' | 'share' | 'forceN' | 'end' | 'link'> & Pick<PartPull, 'load'>,
  { cases, linkForce }: ForcesOnParts,
): ForceOnPart | undefined {
  if (from === 'own')
    return forceN === undefined ? undefined : { forceN: forceN * share, how: finding('load.own', {}) };
  if (from === 'link') {
    const carried = end && link !== undefined ? linkForce?.(end, link, load) : undefined;
    return (
      carried && {
        forceN: carried.forceN * share,
        ...(share === 1 ? {} : { share, caseN: carried.forceN }),
        how:
          load === undefined
            ? finding('load.link', {
                load: carried.at.load,
                travel: measure(carried.at.travelMm, 'lengthMm'),
              })
            : finding('load.wheel', { load, end: end! }),
      }
    );
  }
  const found = cases[from];
  return found?.forceN === undefined
    ? undefined
    : {
        forceN: found.forceN * share,
        ...(share === 1 ? {} : { share, caseN: found.forceN }),
        how: found.how,
      };
}

import { type Measure, measure } from '../../../base/measure';
import { type End, ENDS } from '../../../car/document/suspension';
import { applyPatch, type Patch } from '../../../base/patch';
import { landingOf, peaksAt } from '../../../worked/suspension/landingOfBuild';
import { rateOf, rideOf, springPatch } from '../../../worked/suspension/rideOfBuild';
import type { BuildDocument } from '../../../car/document/document';
import { defineCheck, type Proposal } from '../../engine/check';
import { landingFace } from './landing.face';
import { finding, working } from '../../../base/finding';
import { both, worseEnd } from '../ends';

declare module '../../../base/finding' {
  interface FindingFacts {
    'suspension.landing': { end: End; drop: Measure; wish: Measure };
    'suspension.landing.rests': { end: End; wish: Measure };
    'suspension.landing.beyond': { end: End; wish: Measure };
  }
  interface WorkingFacts {
    'suspension.landing': {
      springRateNPerMm: number;
      travelMm: number;
      damperNsPerM: number;
      tyreNPerMm: number;
      massOverWheelG: number;
      impactMps: number;
      travelUsedMm: number;
      peakTyreN: number;
      maxDropM: number;
    };
  }
}

const MORE_TRAVEL_MM = 6;
/** The margin from which no remedy is proposed. */
const ENOUGH = 1.2;
/** Springs, and dampers, that are tried over the present ones. */
const STIFFER = [1.25, 1.5, 2, 2.5, 3, 4, 6, 8] as const;
/** Beyond this no landing is followed, m. */
const MOST_DROP_M = 10;

/** The drop that tyres, springs and dampers take before the travel is used up. */
export const landing = defineCheck({
  ...landingFace,
  find: ({ document }) => {
    const { dropHeightM } = document.brief;
    if (dropHeightM === undefined) return { missing: ['brief.dropHeightM'] };
    const wish = measure(dropHeightM * 1000, 'lengthMm');
    return worseEnd(
      both(
        (end) => landingOf(document, end, dropHeightM),
        (end, { input, impact }) => {
          const rests = restsOnStop(document, end);
          const maxDropM = rests ? 0 : (impact.maxDropM ?? MOST_DROP_M);
          return {
            end,
            value: maxDropM,
            limit: dropHeightM,
            rank: maxDropM,
            finding: rests
              ? finding('suspension.landing.rests', { end, wish })
              : impact.maxDropM === undefined
                ? finding('suspension.landing.beyond', { end, wish })
                : finding('suspension.landing', { end, drop: measure(maxDropM * 1000, 'lengthMm'), wish }),
            working: working('suspension.landing', {
              springRateNPerMm: input.suspension!.springNPerMm,
              travelMm: input.suspension!.wheelTravelMm,
              damperNsPerM: input.suspension!.damperNsPerM ?? 0,
              tyreNPerMm: input.tyre.rateNPerMm,
              massOverWheelG: impact.massOverWheelG,
              impactMps: impact.impactSpeedMps,
              travelUsedMm: impact.travelUsedMm!,
              peakTyreN: impact.peakTyreN,
              maxDropM,
            }),
          };
        },
      ),
      ({ value, limit }) => value < limit!,
    );
  },
  remedies: ({ document }) => {
    const { dropHeightM } = document.brief;
    if (dropHeightM === undefined) return [];
    const wanted = ENOUGH * dropHeightM;
    // both ends together where both ail: one alone would leave the other as bad
    const ailing = ENDS.filter((end) => takes(document, end, wanted) === false);
    if (ailing.length === 0) return [];
    const tried = (patchOf: (end: End) => Patch[]): Proposal[] => {
      const patches = ailing.map((end) =>
        patchOf(end).find((patch) => takes(applyPatch(document, patch), end, wanted)),
      );
      return patches.every((patch) => patch !== undefined)
        ? [{ patch: patches.flat() as Patch, cost: 2 }]
        : [];
    };
    return [
      ...tried((end) => {
        const rate = rateOf(document.suspension[end]!)?.rateNPerMm;
        return rate === undefined ? [] : STIFFER.map((factor) => springPatch(document, end, factor * rate));
      }),
      ...tried((end) => {
        const { damperNsPerM } = document.suspension[end]!;
        return damperNsPerM === undefined
          ? []
          : STIFFER.map((factor) => [
              {
                path: ['suspension', end, 'damperNsPerM'],
                value: Number((factor * damperNsPerM).toPrecision(2)),
              },
            ]);
      }),
      {
        patch: ailing.map((end) => ({
          path: ['suspension', end, 'bumpMm'],
          value: document.suspension[end]!.bumpMm! + MORE_TRAVEL_MM,
        })),
        cost: 3,
      },
    ] satisfies Proposal[];
  },
});

/** Whether an end lands from a height without using up its travel; undefined while its springs are not known. */
function takes(document: BuildDocument, end: End, dropM: number): boolean | undefined {
  const peaks = peaksAt(document, end, dropM, 4);
  return peaks && peaks.stopMps === undefined && !restsOnStop(document, end);
}

/** Whether its springs do not hold it off the stop: a stiff damper only makes it sink there later. */
function restsOnStop(document: BuildDocument, end: End): boolean {
  const found = rideOf(document, end);
  return found.ok && found.value.ride.bottomsAtRest;
}

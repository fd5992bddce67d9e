import { type Measure, measure } from '../../../base/measure';
import { type End, ENDS } from '../../../car/document/suspension';
import { rideOf, springPatch } from '../../../worked/suspension/rideOfBuild';
import { defineCheck, type Proposal } from '../../engine/check';
import { finding, working } from '../../../base/finding';
import { both, worseEnd } from '../ends';

declare module '../../../base/finding' {
  interface FindingFacts {
    'suspension.landing': { end: End; drop: Measure; wish: Measure };
  }
  interface WorkingFacts {
    'suspension.landing': {
      wheelRateNPerMm: number;
      travelMm: number;
      damperShare: number;
      maxDropM: number;
    };
  }
}

const MORE_TRAVEL_MM = 6;
/** Rate of a remedy's spring over what the drop takes, and the margin from which none is proposed. */
const [STIFFER, ENOUGH] = [1.25, 1.2];
const USUAL_DAMPER_SHARE = 0.4;

/** The drop that springs and dampers take before the stop. */
export const landing = defineCheck({
  id: 'suspension.landing',
  at: { segment: 'suspension', side: 'ride' },
  anySurface: true,
  quantity: 'distanceM',
  kind: 'floor',
  tightUnder: 1.2,
  find: ({ document }) => {
    const { dropHeightM } = document.brief;
    if (dropHeightM === undefined) return { missing: ['brief.dropHeightM'] };
    return worseEnd(
      both(
        (end) => rideOf(document, end),
        (end, { ride: { maxDropM, wheelRateNPerMm }, input }) => ({
          end,
          value: maxDropM,
          limit: dropHeightM,
          rank: maxDropM,
          finding: finding('suspension.landing', {
            end,
            drop: measure(maxDropM * 1000, 'lengthMm'),
            wish: measure(dropHeightM * 1000, 'lengthMm'),
          }),
          working: working('suspension.landing', {
            wheelRateNPerMm,
            travelMm: input.wheelTravelMm,
            damperShare: input.damperShare ?? USUAL_DAMPER_SHARE,
            maxDropM,
          }),
        }),
      ),
      ({ value, limit }) => value < limit!,
    );
  },
  remedies: ({ document }) => {
    const { dropHeightM } = document.brief;
    if (dropHeightM === undefined) return [];
    // both ends together where both ail: one alone would leave the other as bad
    const ailing = ENDS.flatMap((end) => {
      const found = rideOf(document, end);
      return found.ok && found.value.ride.maxDropM < ENOUGH * dropHeightM
        ? [{ end, found: found.value }]
        : [];
    });
    if (ailing.length === 0) return [];
    return [
      {
        patch: ailing.flatMap(({ end, found }) =>
          springPatch(document, end, STIFFER * found.ride.springForDropNPerMm!),
        ),
        cost: 2,
      },
      {
        patch: ailing.map(({ end }) => ({
          path: ['suspension', end, 'bumpMm'],
          value: document.suspension[end]!.bumpMm! + MORE_TRAVEL_MM,
        })),
        cost: 3,
      },
    ] satisfies Proposal[];
  },
  provenBy: { run: 'drop', how: 'dropForMarks' },
  supports: ['springTooSoft', 'impactOverDesign'],
});

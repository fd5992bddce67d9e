import { ENDS } from '../../../car/document/suspension';
import type { CheckDefinition, Proposal } from '../../engine/check';
import { plain } from '../../../base/units/plain';
import { rideOf, springPatch } from '../../../worked/suspension/rideOfBuild';
import { both, named, worseEnd } from './ends';

const MORE_TRAVEL_MM = 6;

/** The drop that springs and dampers take before the stop. */
export const landing: CheckDefinition = {
  id: 'suspension.landing',
  segment: 'suspension',
  title: 'Lands without bottoming',
  short: 'landing',
  anySurface: true,
  quantity: 'distanceM',
  kind: 'floor',
  tightUnder: 1.2,
  evaluate: ({ document }) => {
    const { dropHeightM } = document.brief;
    if (dropHeightM === undefined) return { missing: ['height it lands from'] };
    return worseEnd(
      both(
        (end) => rideOf(document, end),
        (end, { ride, input }) => ({
          end,
          value: ride.maxDropM,
          limit: dropHeightM,
          rank: ride.maxDropM,
          why: `springs and dampers take a drop of ${plain(ride.maxDropM * 1000)} mm before the stop; the wish is ${plain(dropHeightM * 1000)} mm.`,
          working: [
            {
              label: 'Taken over the travel',
              formula: `(preload · travel + ½ · ${plain(ride.wheelRateNPerMm)} N/mm · (${plain(input.wheelTravelMm)} mm)²) / ((1 − ${plain(input.damperShare ?? 0.4)}) · m·g) − travel`,
              value: ride.maxDropM,
              quantity: 'distanceM',
              source: 'by energy; the damper takes its share',
            },
          ],
        }),
      ),
      ({ value, limit }) => value < limit!,
    );
  },
  propose: ({ document }) =>
    ENDS.flatMap((end): Proposal[] => {
      const found = rideOf(document, end);
      const { dropHeightM } = document.brief;
      if (!found.ok || dropHeightM === undefined || found.value.ride.maxDropM >= 1.2 * dropHeightM) return [];
      const stiffer = 1.25 * found.value.ride.springForDropNPerMm!;
      const { bumpMm } = document.suspension[end]!;
      return [
        {
          text: `${named(end)} spring of ${plain(stiffer)} N/mm`,
          patch: springPatch(document, end, stiffer),
          cost: 2,
        },
        {
          text: `${MORE_TRAVEL_MM} mm more bump travel, ${end}`,
          patch: [{ path: ['suspension', end, 'bumpMm'], value: bumpMm! + MORE_TRAVEL_MM }],
          cost: 3,
        },
      ];
    }),
};

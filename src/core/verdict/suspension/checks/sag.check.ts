import { ENDS } from '../../../car/document/suspension';
import type { CheckDefinition, Proposal, State } from '../../engine/check';
import type { WorkingStep } from '../../../base/workingStep';
import { plain } from '../../../base/units/plain';
import { type RideOfBuild, rideOf, springPatch } from '../../../worked/suspension/rideOfBuild';
import { both, inside, named, worseEnd } from './ends';

/** Share of the travel in which a car sags well, %. */
export const SAG_BAND_PCT = [20, 45] as const;

/** How far the springs sink under the car at rest. */
export const sag: CheckDefinition = {
  id: 'suspension.sag',
  segment: 'suspension',
  title: 'Sag at rest',
  short: 'sag',
  anySurface: true,
  quantity: 'percent',
  kind: 'band',
  evaluate: ({ document }) =>
    worseEnd(
      both(
        (end) => rideOf(document, end),
        (end, { ride, input }) => {
          const { sagPct, sagMm, bottomsAtRest, toppedOut, bumpLeftMm } = ride;
          const state: State =
            bottomsAtRest || toppedOut ? 'over' : inside(sagPct, SAG_BAND_PCT) >= 0 ? 'clear' : 'tight';
          return {
            end,
            value: sagPct,
            state,
            rank: state === 'over' ? -10 : inside(sagPct, SAG_BAND_PCT),
            why: bottomsAtRest
              ? `it rests on its bump stop: the spring would sink ${plain(sagMm)} mm of ${plain(input.wheelTravelMm)} mm.`
              : toppedOut
                ? 'preload holds it against its droop stop, so a wheel cannot follow a hole.'
                : `it sinks ${plain(sagMm)} mm of ${plain(input.wheelTravelMm)} mm, and ${plain(bumpLeftMm)} mm are left for bumps.`,
            working: rideWorking({ ride, input }),
          };
        },
      ),
      ({ state }) => state === 'over',
    ),
  propose: ({ document }) =>
    ENDS.flatMap((end): Proposal[] => {
      const found = rideOf(document, end);
      if (!found.ok || (inside(found.value.ride.sagPct, SAG_BAND_PCT) >= 0 && !found.value.ride.toppedOut))
        return [];
      const { ride, input } = found.value;
      return [
        {
          text: `${named(end)} spring of ${plain(ride.springForTargetSagNPerMm)} N/mm`,
          patch: springPatch(document, end, ride.springForTargetSagNPerMm),
          cost: 2,
        },
        ...((input.preloadMm ?? 0) > 0 && ride.sagPct < SAG_BAND_PCT[0]
          ? [
              {
                text: `${named(end)} preload taken off`,
                patch: [{ path: ['suspension', end, 'preloadMm'], value: 0 }],
                cost: 1 as const,
              },
            ]
          : []),
      ];
    }),
};

function rideWorking({ ride, input }: Pick<RideOfBuild, 'ride' | 'input'>): WorkingStep[] {
  return [
    {
      label: 'Rate at the wheel',
      formula: `${plain(input.springRateNPerMm)} N/mm · ${plain(input.motionRatio)}²`,
      value: ride.wheelRateNPerMm,
      quantity: 'rateNPerMm',
      source: 'Milliken, Race Car Vehicle Dynamics, ch. 16',
    },
    {
      label: 'Sag',
      formula: `(${plain(input.cornerSprungMassG)} g · g − preload) / rate at the wheel`,
      value: ride.sagMm,
      quantity: 'lengthMm',
    },
    {
      label: 'Ride frequency',
      formula: '√(rate at the wheel / sprung mass) / 2π',
      value: ride.rideHz,
      quantity: 'frequencyHz',
    },
  ];
}

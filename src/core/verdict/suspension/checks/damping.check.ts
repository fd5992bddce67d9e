import { ENDS } from '../../../car/document/suspension';
import type { CheckDefinition, Proposal, State } from '../../engine/check';
import { type Assembled, missingOf } from '../../../base/assembled';
import { plain } from '../../../base/units/plain';
import { rideOf } from '../../../worked/suspension/rideOfBuild';
import { both, inside, named, type OfEnd, worseEnd } from './ends';

/** Damping ratios that neither bounce nor stick. */
const DAMPING_BAND = [0.4, 0.9] as const;
/** Ratios at which it bounces on, or hardly comes back. */
const DAMPING_OVER = [0.2, 1.5] as const;

/** Whether the car settles within one swing. */
export const damping: CheckDefinition = {
  id: 'suspension.damping',
  segment: 'suspension',
  title: 'Damping',
  short: 'damping',
  anySurface: true,
  quantity: 'coefficient',
  kind: 'band',
  evaluate: ({ document }) =>
    worseEnd(
      both(
        (end) => rideOf(document, end),
        (end, { ride, input }): OfEnd | Assembled<OfEnd> => {
          const { dampingRatio } = ride;
          if (dampingRatio === undefined)
            return { ok: false, missing: missingOf({ [`damper figure of the ${end}`]: undefined }) };
          const state: State =
            inside(dampingRatio, DAMPING_BAND) >= 0
              ? 'clear'
              : inside(dampingRatio, DAMPING_OVER) >= 0
                ? 'tight'
                : 'over';
          return {
            end,
            value: dampingRatio,
            state,
            rank: inside(dampingRatio, DAMPING_BAND),
            why:
              dampingRatio < DAMPING_BAND[0]
                ? 'it bounces on after a bump.'
                : dampingRatio > DAMPING_BAND[1]
                  ? 'it comes back so slowly that the next bump finds it low.'
                  : 'it settles within one swing.',
            working: [
              {
                label: 'Damping ratio',
                formula: `${plain(input.damperNsPerM!)} N·s/m · ${plain(input.motionRatio)}² / (2·√(rate at the wheel · m))`,
                value: dampingRatio,
                quantity: 'coefficient',
                source: 'Milliken, Race Car Vehicle Dynamics, ch. 22',
              },
            ],
          };
        },
      ),
      ({ state }) => state !== 'clear',
    ),
  propose: ({ document }) =>
    ENDS.flatMap((end): Proposal[] => {
      const found = rideOf(document, end);
      if (
        !found.ok ||
        found.value.ride.dampingRatio === undefined ||
        inside(found.value.ride.dampingRatio, DAMPING_BAND) >= 0
      )
        return [];
      const c = Number(found.value.ride.damperForRatio06NsPerM.toPrecision(2));
      return [
        {
          text: `${named(end)} dampers of ${plain(c)} N·s/m: ${c > found.value.input.damperNsPerM! ? 'thicker' : 'thinner'} oil`,
          patch: [{ path: ['suspension', end, 'damperNsPerM'], value: c }],
          cost: 1,
        },
      ];
    }),
};

import type { Assembled } from '../../../base/assembled';
import { measure, type Measure } from '../../../base/measure';
import { type End, ENDS } from '../../../car/document/suspension';
import { rideOf } from '../../../worked/suspension/rideOfBuild';
import { defineCheck, type Proposal, type State } from '../../engine/check';
import { finding, working } from '../../../base/finding';
import { both, inside, type OfEnd, worseEnd } from '../ends';

declare module '../../../base/finding' {
  interface FindingFacts {
    'suspension.damping': { end: End; ratio: Measure; is: 'little' | 'much' | 'right' };
  }
  interface WorkingFacts {
    'suspension.damping': { damperNsPerM: number; motionRatio: number; ratio: number };
  }
}

/** Damping ratios that neither bounce nor stick. */
const DAMPING_BAND = [0.4, 0.9] as const;
/** Ratios at which it bounces on, or hardly comes back. */
const DAMPING_OVER = [0.2, 1.5] as const;

/** Whether the car settles within one swing. */
export const damping = defineCheck({
  id: 'suspension.damping',
  at: { segment: 'suspension', side: 'ride' },
  anySurface: true,
  quantity: 'coefficient',
  kind: 'band',
  find: ({ document }) =>
    worseEnd(
      both(
        (end) => rideOf(document, end),
        (end, { ride: { dampingRatio }, input }): OfEnd | Assembled<OfEnd> => {
          if (dampingRatio === undefined) return { ok: false, missing: [`suspension.${end}.damperNsPerM`] };
          return {
            end,
            value: dampingRatio,
            state: stateOf(dampingRatio),
            rank: inside(dampingRatio, DAMPING_BAND),
            finding: finding('suspension.damping', {
              end,
              ratio: measure(dampingRatio, 'coefficient'),
              is:
                dampingRatio < DAMPING_BAND[0] ? 'little' : dampingRatio > DAMPING_BAND[1] ? 'much' : 'right',
            }),
            working: working('suspension.damping', {
              damperNsPerM: input.damperNsPerM!,
              motionRatio: input.motionRatio,
              ratio: dampingRatio,
            }),
          };
        },
      ),
      ({ state }) => state !== 'clear',
    ),
  remedies: ({ document }) => {
    const patch = ENDS.flatMap((end) => {
      const found = rideOf(document, end);
      const ratio = found.ok ? found.value.ride.dampingRatio : undefined;
      if (!found.ok || ratio === undefined || inside(ratio, DAMPING_BAND) >= 0) return [];
      const value = Number(found.value.ride.damperForRatio06NsPerM.toPrecision(2));
      return [{ path: ['suspension', end, 'damperNsPerM'], value }];
    });
    return patch.length === 0 ? [] : [{ patch, cost: 1 } satisfies Proposal];
  },
  provenBy: { run: 'terrain', how: 'throughTravel' },
  supports: [],
});

function stateOf(ratio: number): State {
  if (inside(ratio, DAMPING_BAND) >= 0) return 'clear';
  return inside(ratio, DAMPING_OVER) >= 0 ? 'tight' : 'over';
}

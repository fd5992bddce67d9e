import { type Measure, measure } from '../../../base/measure';
import { type End, ENDS } from '../../../car/document/suspension';
import type { BuildDocument } from '../../../car/document/document';
import { restOf } from '../../../worked/suspension/restOfBuild';
import { rideOf, springPatch } from '../../../worked/suspension/rideOfBuild';
import { defineCheck, type Proposal, type State } from '../../engine/check';
import { finding, working } from '../../../base/finding';
import { both, inside, worseEnd } from '../ends';

declare module '../../../base/finding' {
  interface FindingFacts {
    'suspension.sag.bottoms': { end: End; sag: Measure; travel: Measure };
    'suspension.sag.topsOut': { end: End };
    'suspension.sag.sinks': { end: End; sag: Measure; travel: Measure; left: Measure; drawn?: OffDrawn };
  }
  interface WorkingFacts {
    'suspension.sag': {
      springRateNPerMm: number;
      motionRatio: number;
      wheelRateNPerMm: number;
      cornerG: number;
      sagMm: number;
      rideHz: number;
    };
  }
}

/** How far the springs hold an end from where it is drawn, and which way the car stands. */
export interface OffDrawn {
  by: Measure;
  car: 'higher' | 'lower';
}

/** So near to the drawing an end stands as drawn, mm. By judgement. */
export const AS_DRAWN_MM = 1;

/** Share of the travel in which a car sags well, %. */
export const SAG_BAND_PCT = [20, 45] as const;

/** How far the springs sink under the car at rest. */
export const sag = defineCheck({
  id: 'suspension.sag',
  at: { segment: 'suspension', side: 'ride' },
  anySurface: true,
  quantity: 'percent',
  kind: 'band',
  find: ({ document }) =>
    worseEnd(
      both(
        (end) => rideOf(document, end),
        (end, { ride, input }) => {
          const { sagPct, sagMm, bottomsAtRest, toppedOut, bumpLeftMm } = ride;
          const state: State =
            bottomsAtRest || toppedOut ? 'over' : inside(sagPct, SAG_BAND_PCT) >= 0 ? 'clear' : 'tight';
          const sinks = {
            end,
            sag: measure(sagMm, 'lengthMm'),
            travel: measure(input.wheelTravelMm, 'lengthMm'),
          };
          return {
            end,
            value: sagPct,
            state,
            rank: state === 'over' ? -10 : inside(sagPct, SAG_BAND_PCT),
            finding: bottomsAtRest
              ? finding('suspension.sag.bottoms', sinks)
              : toppedOut
                ? finding('suspension.sag.topsOut', { end })
                : finding('suspension.sag.sinks', {
                    ...sinks,
                    left: measure(bumpLeftMm, 'lengthMm'),
                    ...offDrawn(document, end),
                  }),
            working: working('suspension.sag', {
              springRateNPerMm: input.springRateNPerMm,
              motionRatio: input.motionRatio,
              wheelRateNPerMm: ride.wheelRateNPerMm,
              cornerG: input.cornerSprungMassG,
              sagMm,
              rideHz: ride.rideHz,
            }),
          };
        },
      ),
      ({ state }) => state === 'over',
    ),
  remedies: ({ document }) => {
    const ailing = ENDS.flatMap((end) => {
      const found = rideOf(document, end);
      return found.ok && (inside(found.value.ride.sagPct, SAG_BAND_PCT) < 0 || found.value.ride.toppedOut)
        ? [{ end, ...found.value }]
        : [];
    });
    if (ailing.length === 0) return [];
    const preloaded = ailing.filter(
      ({ ride, input }) => (input.preloadMm ?? 0) > 0 && ride.sagPct < SAG_BAND_PCT[0],
    );
    return [
      {
        patch: ailing.flatMap(({ end, ride }) => springPatch(document, end, ride.springForTargetSagNPerMm)),
        cost: 2,
      },
      ...(preloaded.length > 0
        ? [
            {
              patch: preloaded.map(({ end }) => ({ path: ['suspension', end, 'preloadMm'], value: 0 })),
              cost: 1 as const,
            },
          ]
        : []),
    ] satisfies Proposal[];
  },
  provenBy: { run: 'terrain', how: 'throughTravel' },
  supports: ['springTooSoft'],
});

function offDrawn(document: BuildDocument, end: End): { drawn?: OffDrawn } {
  const offMm = restOf(document, end)?.travelMm ?? 0;
  return Math.abs(offMm) <= AS_DRAWN_MM
    ? {}
    : { drawn: { by: measure(Math.abs(offMm), 'lengthMm', 2), car: offMm < 0 ? 'higher' : 'lower' } };
}

import { type Measure, measure } from '../../base/measure';
import type { Worked } from '../../worked/worked';
import { defineCheck, type Proposal } from '../engine/check';
import { finding, working } from '../../base/finding';
import { lowered, onStanding } from './onStanding';

declare module '../../base/finding' {
  interface FindingFacts {
    'chassis.tip.slides': { factor: Measure; grip: Measure };
    'chassis.tip.rolls': { height: Measure; slidesAt: Measure };
  }
  interface WorkingFacts {
    'chassis.tip': { offMm: number; heightMm: number; factor: number; slidesAtMm: number };
  }
}

const WIDER_MM = 20;

/** Whether it slides or rolls over in a corner. */
export const tip = defineCheck({
  id: 'chassis.tip',
  at: { segment: 'chassis', side: 'layout' },
  quantity: 'coefficient',
  kind: 'floor',
  tightUnder: 1.15,
  find: (subject) =>
    onStanding(subject, ({ stability, mu, weight: { cgMm } }) => {
      const { staticStabilityFactor: factor, outcome, cgHeightForNoTipMm } = stability;
      return {
        value: factor,
        limit: mu,
        finding:
          outcome === 'slides'
            ? finding('chassis.tip.slides', {
                factor: measure(factor, 'coefficient'),
                grip: measure(mu, 'coefficient'),
              })
            : finding('chassis.tip.rolls', {
                height: measure(cgMm[2], 'lengthMm'),
                slidesAt: measure(cgHeightForNoTipMm, 'lengthMm'),
              }),
        working: working('chassis.tip', {
          offMm: Math.abs(cgMm[1]),
          heightMm: cgMm[2],
          factor,
          slidesAtMm: cgHeightForNoTipMm,
        }),
      };
    }),
  remedies: (subject) => [...lowered(subject), ...wider(subject)],
  provenBy: { run: 'terrain', how: 'sameBend' },
  supports: ['cgTooHigh', 'trackTooNarrow'],
});

function wider({ document: { chassis } }: Worked): Proposal[] {
  const { trackFrontMm, trackRearMm } = chassis;
  if (trackFrontMm === undefined || trackRearMm === undefined) return [];
  return [WIDER_MM, 2 * WIDER_MM].map((by) => ({
    patch: [
      { path: ['chassis', 'trackFrontMm'], value: trackFrontMm + by },
      { path: ['chassis', 'trackRearMm'], value: trackRearMm + by },
    ],
    cost: 2,
  }));
}

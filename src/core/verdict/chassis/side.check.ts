import { type Measure, measure } from '../../base/measure';
import { SIDE_TOLERANCE } from '../../physics/balance/balance';
import { weightOf } from '../../worked/chassis/weightOfBuild';
import { defineCheck, type Found, type Proposal } from '../engine/check';
import { finding, working } from '../../base/finding';
import { movable, moved } from './onStanding';

declare module '../../base/finding' {
  interface FindingFacts {
    'chassis.side.even': { left: Measure };
    'chassis.side.uneven': { side: 'left' | 'right'; share: Measure };
  }
  interface WorkingFacts {
    'chassis.side': { leftShare: number };
  }
}

/** Share to one side beyond which it is more than untidy. */
const SIDE_OVER = 0.05;
/** A component is moved at most this share of the track to a side. */
const MOST_ASIDE = 1 / 3;

/** Weight on the left wheels against a half. */
export const side = defineCheck({
  id: 'chassis.side',
  at: { segment: 'chassis', side: 'layout' },
  anySurface: true,
  quantity: 'share',
  kind: 'band',
  find: ({ document }): Found => {
    const weight = weightOf(document);
    if (!weight.ok) return weight;
    if (!weight.value.balance) return { missing: ['chassis.bodies'] };
    const { leftLoadShare } = weight.value;
    const off = Math.abs(leftLoadShare - 0.5);
    return {
      value: leftLoadShare,
      state: off <= SIDE_TOLERANCE ? 'clear' : off <= SIDE_OVER ? 'tight' : 'over',
      finding:
        off <= SIDE_TOLERANCE
          ? finding('chassis.side.even', { left: measure(leftLoadShare, 'share') })
          : finding('chassis.side.uneven', {
              side: leftLoadShare > 0.5 ? 'left' : 'right',
              share: measure(0.5 + off, 'share'),
            }),
      working: working('chassis.side', { leftShare: leftLoadShare }),
    };
  },
  remedies: ({ document }) => {
    const weight = weightOf(document);
    if (!weight.ok || !weight.value.balance) return [];
    const { bodies, massG, cgMm } = weight.value;
    return movable(bodies)
      .map((body) => ({ body, yMm: Math.round(body.yMm - (cgMm[1] * massG) / body.massG) }))
      .filter(
        ({ body, yMm }) =>
          yMm !== body.yMm && Math.abs(yMm) < (document.chassis.trackFrontMm ?? 0) * MOST_ASIDE,
      )
      .map(({ body, yMm }): Proposal => ({ patch: moved(document, body.id, { yMm }), cost: 1 }));
  },
  provenBy: { run: 'terrain', how: 'sameBend' },
  supports: [],
});

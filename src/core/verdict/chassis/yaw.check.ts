import { finding, working } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';
import { type LooseCause, looseBecause } from '../../worked/stability/loose';
import { defineCheck } from '../engine/check';
import { onSteady, withRearWing, withWeightForward } from './onSteady';

declare module '../../base/finding' {
  interface FindingFacts {
    'chassis.yaw.steady': { top: Measure; looseFrom?: Measure; because?: LooseCause };
    'chassis.yaw.loose': { top: Measure; looseFrom: Measure; because?: LooseCause };
  }
  interface WorkingFacts {
    'chassis.yaw': { topMps: number; frontN: number; rearN: number; margin?: number; damping?: number };
  }
}

/** Speed up to which it is looked for, m/s; nobody counts beyond. */
const SEARCHED_MPS = 100;

/** From which speed a disturbance no longer dies away, against the top speed. */
export const yaw = defineCheck({
  id: 'chassis.yaw',
  at: { segment: 'chassis', side: 'stability' },
  quantity: 'speedMps',
  kind: 'floor',
  tightUnder: 1.3,
  countedTo: SEARCHED_MPS,
  find: (subject) =>
    onSteady(subject, ({ topMps, input, steady }) => {
      const { lowestUnstableMps: loose, staticMargin, dampingRatio, corneringNPerRad } = steady;
      const because = loose === undefined ? undefined : looseBecause(input);
      const top = measure(topMps, 'speedMps');
      const facts = {
        top,
        ...(loose === undefined ? {} : { looseFrom: measure(loose, 'speedMps') }),
        ...(because ? { because } : {}),
      };
      return {
        value: loose ?? SEARCHED_MPS,
        limit: topMps,
        finding:
          loose !== undefined && loose < topMps
            ? finding('chassis.yaw.loose', { ...facts, looseFrom: facts.looseFrom! })
            : finding('chassis.yaw.steady', facts),
        working: working('chassis.yaw', {
          topMps,
          frontN: corneringNPerRad.front,
          rearN: corneringNPerRad.rear,
          ...(staticMargin === undefined ? {} : { margin: staticMargin }),
          ...(dampingRatio === undefined ? {} : { damping: dampingRatio }),
        }),
      };
    }),
  remedies: (subject) => [...withWeightForward(subject), ...withRearWing(subject)],
  provenBy: { run: 'look', how: 'fasterAndFaster' },
  supports: [],
});

import { finding, working } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';
import { type LooseCause, looseBecause } from '../../worked/stability/loose';
import { defineCheck } from '../engine/check';
import { onSteady, withRearWing, withWeightForward } from './onSteady';
import { SEARCHED_MPS, yawFace } from './yaw.face';

declare module '../../base/finding' {
  interface FindingFacts {
    'chassis.yaw.steady': { top: Measure; looseFrom?: Measure; because?: LooseCause };
    'chassis.yaw.loose': { top: Measure; looseFrom: Measure; because?: LooseCause };
  }
  interface WorkingFacts {
    'chassis.yaw': { topMps: number; frontN: number; rearN: number; margin?: number; damping?: number };
  }
}

/** From which speed a disturbance no longer dies away, against the top speed. */
export const yaw = defineCheck({
  ...yawFace,
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
});

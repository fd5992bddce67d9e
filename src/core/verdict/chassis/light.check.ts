import { GRAVITY } from '../../base/constants';
import { finding, working } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';
import { defineCheck } from '../engine/check';
import { onSteady, withRearWing } from './onSteady';
import { lightFace } from './light.face';

declare module '../../base/finding' {
  interface FindingFacts {
    'chassis.light': { axle: 'front' | 'rear'; load: Measure; top: Measure; still: Measure };
  }
  interface WorkingFacts {
    'chassis.light': { stillN: number; claM2: number; topMps: number; loadN: number };
  }
}

/** Of its weight at rest, under which an axle counts as light. */
const LIGHT_SHARE = 0.5;

/** Load of each axle at top speed against half of the one at rest. */
export const light = defineCheck({
  ...lightFace,
  find: (subject) =>
    onSteady(subject, ({ topMps, input, steady: { axleLoadsN } }) => {
      const weightN = input.massKg * GRAVITY;
      const axles = [
        { axle: 'front' as const, stillN: weightN * input.frontLoadShare, claM2: input.air!.claFrontM2! },
        { axle: 'rear' as const, stillN: weightN * (1 - input.frontLoadShare), claM2: input.air!.claRearM2! },
      ].map((one) => ({ ...one, loadN: axleLoadsN[one.axle] }));
      const [front, rear] = axles;
      const worst = front!.loadN / front!.stillN < rear!.loadN / rear!.stillN ? front! : rear!;
      const { axle, stillN, claM2, loadN } = worst;
      return {
        value: loadN,
        limit: LIGHT_SHARE * stillN,
        finding: finding('chassis.light', {
          axle,
          load: measure(loadN, 'forceN'),
          top: measure(topMps, 'speedMps'),
          still: measure(stillN, 'forceN'),
        }),
        working: working('chassis.light', { stillN, claM2, topMps, loadN }),
      };
    }),
  remedies: withRearWing,
});

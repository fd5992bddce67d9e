import { type Measure, measure } from '../../../base/measure';
import { type ResistanceFacts, resistanceFacts } from '../../../physics/motion/topSpeedFacts';
import { defineCheck } from '../../engine/check';
import { finding, working } from '../../../base/finding';

declare module '../../../base/finding' {
  interface FindingFacts {
    'drive.grip.always': { wish: Measure };
    'drive.grip.upTo': { speed: Measure; wish: Measure };
  }
  interface WorkingFacts {
    'drive.resistance': ResistanceFacts;
  }
}

/** Grip at the wished speed against the resistance there. */
export const gripAtWish = defineCheck({
  id: 'drive.grip',
  at: { segment: 'drive', side: 'run' },
  quantity: 'forceN',
  kind: 'floor',
  tightUnder: 1.2,
  find: (subject) => {
    const demand = subject.demand();
    if (!demand.ok) return demand;
    const { gripN, resistanceN, gripSpeedMps } = demand.value.surfaces[0]!;
    const input = subject.runInput();
    const wishMps = subject.document.brief.targetMps!;
    const wish = measure(wishMps, 'speedMps');
    return {
      value: gripN,
      limit: resistanceN,
      finding:
        gripSpeedMps === undefined
          ? finding('drive.grip.always', { wish })
          : finding('drive.grip.upTo', { speed: measure(gripSpeedMps, 'speedMps'), wish }),
      ...(input.ok ? { working: working('drive.resistance', resistanceFacts(input.value, wishMps)) } : {}),
    };
  },
  provenBy: { run: 'timedDistance', how: 'sameDistance' },
  supports: ['powerOverGrip'],
});

import { type Measure, measure } from '../../base/measure';
import { pushesOf } from '../../worked/standing/standingOfBuild';
import { defineCheck } from '../engine/check';
import { finding, working } from '../../base/finding';
import { lowered, onStanding } from './onStanding';

declare module '../../base/finding' {
  interface FindingFacts {
    'chassis.lift': { axle: 'front' | 'rear'; lifts: Measure; reaches: Measure };
  }
  interface WorkingFacts {
    'chassis.lift': { frontLifts: number; drive: number; rearLifts: number; brake: number };
  }
}

/** Acceleration that lifts an axle against what drive and brakes reach by motor and grip alone. */
export const lift = defineCheck({
  id: 'chassis.lift',
  at: { segment: 'chassis', side: 'layout' },
  quantity: 'accelMps2',
  kind: 'floor',
  tightUnder: 1.1,
  find: (subject) => {
    const input = subject.runInput();
    if (!input.ok) return input;
    return onStanding(subject, ({ stability }) => {
      const { frontLiftsAtMps2, rearLiftsAtMps2 } = stability;
      const { drive, brake } = pushesOf(input.value);
      const front = { axle: 'front' as const, lifts: frontLiftsAtMps2, reaches: drive };
      const rear = { axle: 'rear' as const, lifts: rearLiftsAtMps2, reaches: brake };
      const worst = rear.lifts * front.reaches < front.lifts * rear.reaches ? rear : front;
      return {
        value: worst.lifts,
        limit: worst.reaches,
        finding: finding('chassis.lift', {
          axle: worst.axle,
          lifts: measure(worst.lifts, 'accelMps2'),
          reaches: measure(worst.reaches, 'accelMps2'),
        }),
        working: working('chassis.lift', {
          frontLifts: frontLiftsAtMps2,
          drive,
          rearLifts: rearLiftsAtMps2,
          brake,
        }),
      };
    });
  },
  remedies: lowered,
  provenBy: { run: 'terrain', how: 'sameBend' },
  supports: ['frontLift'],
});

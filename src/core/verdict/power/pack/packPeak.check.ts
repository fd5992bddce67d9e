import { type Measure, measure } from '../../../base/measure';
import { allPacks } from '../../../car/document/power';
import { defineCheck } from '../../engine/check';
import { finding, working } from '../../../base/finding';
import { strongerPacks } from './otherPacks';

declare module '../../../base/finding' {
  interface FindingFacts {
    'power.pack': { peak: Measure; rated: Measure; withSupply: boolean };
  }
  interface WorkingFacts {
    'power.pack': {
      capacityMah: number;
      maxDischargeC: number;
      ratedA: number;
      motorA: number;
      peakA: number;
      withSupply: boolean;
    };
  }
}

/** Peak battery current against capacity times discharge rating. */
export const packPeak = defineCheck({
  id: 'power.pack',
  about: ['pack'],
  at: { segment: 'power', side: 'pack' },
  quantity: 'currentA',
  kind: 'ceiling',
  tightUnder: 1.15,
  find: (subject) => {
    const input = subject.runInput();
    if (!input.ok) return input;
    const { capacityMah, maxDischargeC } = allPacks(subject.document.power)!;
    const ratedA = (capacityMah / 1000) * maxDischargeC;
    const motorA = subject.run()!.peakBatteryCurrentA;
    const supply = subject.supply();
    const peakA = supply.ok ? supply.result.batteryPeakA : motorA;
    return {
      value: peakA,
      limit: ratedA,
      finding: finding('power.pack', {
        peak: measure(peakA, 'currentA'),
        rated: measure(ratedA, 'currentA'),
        withSupply: supply.ok,
      }),
      working: working('power.pack', {
        capacityMah,
        maxDischargeC,
        ratedA,
        motorA,
        peakA,
        withSupply: supply.ok,
      }),
    };
  },
  remedies: ({ document }) => strongerPacks(document),
  provenBy: { run: 'spin', how: 'steerHardOnBench' },
  supports: ['packSag'],
});

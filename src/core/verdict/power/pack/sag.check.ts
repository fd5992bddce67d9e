import { type Measure, measure } from '../../../base/measure';
import { USUAL_CUTOFF_V } from '../../../car/document/power';
import { LOW_CHARGE } from '../../../worked/power/supplyOfBuild';
import { defineCheck } from '../../engine/check';
import { finding, working } from '../../../base/finding';
import { strongerPacks } from './otherPacks';

declare module '../../../base/finding' {
  interface FindingFacts {
    'power.sag': { charge: Measure; cell: Measure; cutoff: Measure };
  }
  interface WorkingFacts {
    'power.sag': { peakA: number; cells: number; cellV: number };
  }
}

/** Loaded volts of a cell at launch, on a pack that is nearly empty, against the cut-off. */
export const packSag = defineCheck({
  id: 'power.sag',
  about: ['pack'],
  at: { segment: 'power', side: 'pack' },
  quantity: 'voltageV',
  kind: 'floor',
  tightUnder: 1.03,
  find: (subject) => {
    const input = subject.runInput();
    if (!input.ok) return input;
    const { minBatteryVoltageV, peakBatteryCurrentA } = subject.run(LOW_CHARGE)!;
    const { cells } = input.value.battery;
    const cellV = minBatteryVoltageV / cells;
    const cutoffV = subject.document.power.cutoffVPerCell ?? USUAL_CUTOFF_V;
    return {
      value: cellV,
      limit: cutoffV,
      finding: finding('power.sag', {
        charge: measure(LOW_CHARGE, 'share'),
        cell: measure(cellV, 'voltageV'),
        cutoff: measure(cutoffV, 'voltageV'),
      }),
      working: working('power.sag', { peakA: peakBatteryCurrentA, cells, cellV }),
    };
  },
  remedies: ({ document }) => strongerPacks(document),
  provenBy: { run: 'spin', how: 'steerHardOnBench' },
  supports: ['packSag', 'regulatorDropout'],
});

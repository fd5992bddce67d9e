import { type Measure, measure } from '../../../base/measure';
import { defineCheck } from '../../engine/check';
import { windingFace } from './winding.face';
import { finding } from '../../../base/finding';
import { coolerBy, heldAgainst, marginOfRise } from './heldAgainst';
import { CLEAR_FROM } from './clearFrom';

declare module '../../../base/finding' {
  interface FindingFacts {
    'drive.winding.peak': { peak: Measure; limit: Measure };
    'drive.winding.after': { after: Measure; limit: Measure };
  }
}

/** The winding over the pack's duty, against what its enamel bears. */
export const winding = defineCheck({
  ...windingFace,
  find: (subject) =>
    heldAgainst(
      subject,
      'winding',
      ({ input }) => input.thermal.windingLimitC!,
      ({ ended, unlimited, input }) => {
        const limit = measure(input.thermal.windingLimitC!, 'temperatureC');
        return ended.endedBy === 'winding'
          ? finding('drive.winding.after', { after: measure(ended.durationS / 60, 'minutes'), limit })
          : finding('drive.winding.peak', { peak: measure(unlimited.peakWindingC, 'temperatureC'), limit });
      },
    ),
  remedies: (subject) =>
    coolerBy(
      subject,
      ({ unlimited, input: { thermal } }) =>
        marginOfRise(thermal.windingLimitC!, unlimited.peakWindingC, thermal.ambientC) >= CLEAR_FROM,
    ),
});

import { enduranceOf } from '../../../worked/heat/enduranceOf';
import { finding, working } from '../../../base/finding';
import { type Measure, measure } from '../../../base/measure';
import type { DrivenController } from '../../../physics/heat/enduranceDefinition';
import { defineCheck } from '../../engine/check';
import { controllerHeatFace } from './controllerHeat.face';
import { coolerController, marginOfRise } from './heldAgainst';

declare module '../../../base/finding' {
  interface FindingFacts {
    'drive.controllerHeat.peak': { peak: Measure; limit: Measure };
    'drive.controllerHeat.after': { after: Measure; limit: Measure };
    'drive.controllerHeat.stands': Record<never, never>;
  }
  interface WorkingFacts {
    'drive.controllerHeat': {
      controller: DrivenController;
      /** Of one of them, over what is driven. */
      meanW: number;
      meanMps: number;
      ambientC: number;
      peakC: number;
    };
  }
}

const S_PER_H = 3600;

/** A controller over the pack's duty, against where it shuts down. */
export const controllerHeat = defineCheck({
  ...controllerHeatFace,
  find: (subject) => {
    const found = enduranceOf(subject);
    if (!found.ok) return found;
    const { unlimited, ended, input } = found.value;
    if (unlimited.durationS === 0)
      return { state: 'clear', margin: 1e6, finding: finding('drive.controllerHeat.stands', {}) };
    const controller = input.controller!;
    const { ambientC } = input.thermal;
    const peakC = unlimited.peakControllerC!;
    const limit = measure(controller.limitC, 'temperatureC');
    return {
      value: peakC,
      limit: controller.limitC,
      margin: Math.max(0, marginOfRise(controller.limitC, peakC, ambientC)),
      finding:
        ended.endedBy === 'controller'
          ? finding('drive.controllerHeat.after', { after: measure(ended.durationS / 60, 'minutes'), limit })
          : finding('drive.controllerHeat.peak', { peak: measure(peakC, 'temperatureC'), limit }),
      working: working('drive.controllerHeat', {
        controller,
        meanW: (unlimited.lossesWh!.controller * S_PER_H) / unlimited.durationS / controller.count,
        meanMps: unlimited.meanSpeedMps ?? 0,
        ambientC,
        peakC,
      }),
    };
  },
  remedies: coolerController,
});

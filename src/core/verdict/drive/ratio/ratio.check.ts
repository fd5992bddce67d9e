import { enduranceOf } from '../../../worked/heat/enduranceOf';
import { type Measure, measure } from '../../../base/measure';
import { topSpeedFacts } from '../../../physics/motion/topSpeedFacts';
import { type RatioDecision, ratioVerdict } from '../../../worked/drive/ratioVerdict';
import { defineCheck } from '../../engine/check';
import { ratioFace } from './ratio.face';
import { finding, working } from '../../../base/finding';
import { gearing } from '../gearing';

declare module '../../../base/finding' {
  interface FindingFacts {
    'drive.ratio': Pick<RatioDecision, 'by' | 'way' | 'loses'> & { share: Measure };
  }
}

/** Whether another gear would serve the wish better. */
export const ratio = defineCheck({
  ...ratioFace,
  find: (subject) => {
    const pack = enduranceOf(subject);
    const run = subject.runInput();
    const wish = subject.document.brief.targetMps;
    if (!pack.ok || !run.ok || wish === undefined)
      return {
        missing: [...(pack.ok ? [] : pack.missing), ...(wish === undefined ? ['brief.targetMps'] : [])],
      };
    const { state, share, ...decision } = ratioVerdict(pack.value.input, wish, subject.run());
    return {
      value: share,
      state,
      finding: finding('drive.ratio', { ...decision, share: measure(share, 'share') }),
      working: working('drive.topSpeed', topSpeedFacts(run.value, subject.run()!)),
    };
  },
  remedies: (subject) => {
    const pack = enduranceOf(subject);
    const wish = subject.document.brief.targetMps;
    if (!pack.ok || wish === undefined) return [];
    const { way } = ratioVerdict(pack.value.input, wish, subject.run());
    return way ? gearing(subject.document, way) : [];
  },
});

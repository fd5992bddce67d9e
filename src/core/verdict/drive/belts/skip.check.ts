import { finding, working } from '../../../base/finding';
import { type Measure, measure } from '../../../base/measure';
import { type LoadedBelt } from '../../../worked/transmissions/beltOfBuild';
import { defineCheck } from '../../engine/check';
import { skipFace } from './skip.face';
import type { TorqueBy } from '../gears/onTeeth';
import { type BeltNamed, beltNamed, beltsOf, onBelts } from './onBelts';

declare module '../../../base/finding' {
  interface FindingFacts {
    'belt.skip.climbs': BeltNamed &
      TorqueBy & { pull: Measure; climbs: Measure; set: Measure; needed: Measure };
  }
  interface WorkingFacts {
    'belt.skip': {
      pretensionN: number;
      massTensionN: number;
      meshFactor: number;
      share: number;
      pullN: number;
      skipLimitN: number;
      frequencyHz: number;
      spanMm: number;
    };
  }
}

/** Margin that a remedy aims at, a little over where it is clear. */
const AIM = 1.4;

const worstOf = (belts: readonly LoadedBelt[]) =>
  belts.reduce((a, b) => ((b.found.skipMargin ?? Infinity) < (a.found.skipMargin ?? Infinity) ? b : a));

/** The pull against the one at which the belt climbs over the teeth of its pulley. */
export const skip = defineCheck({
  ...skipFace,
  find: (subject) =>
    onBelts(subject, (belts) => {
      const { stage, load, found } = worstOf(belts);
      if (found.skipMargin === undefined) return { missing: ['drive.stages:load'] };
      return {
        value: found.skipMargin,
        limit: 1,
        finding: finding('belt.skip.climbs', {
          ...beltNamed(stage),
          torque: measure(load.pinionNm, 'torqueNm'),
          by: load.by,
          pull: measure(found.peripheralForceN!, 'forceN'),
          climbs: measure(found.skipLimitN!, 'forceN'),
          set: measure(found.pretensionN!, 'forceN'),
          needed: measure(found.pretensionNeededN!, 'forceN'),
        }),
        working: working('belt.skip', {
          pretensionN: found.pretensionN!,
          massTensionN: found.massTensionN!,
          meshFactor: found.meshFactor,
          share: found.pretensionShare!,
          pullN: found.peripheralForceN!,
          skipLimitN: found.skipLimitN!,
          frequencyHz: found.spanFrequencyHz!,
          spanMm: found.spanMm,
        }),
      };
    }),
  remedies: (subject) => {
    const found = beltsOf(subject);
    if (!('belts' in found)) return [];
    const { stage, found: belt } = worstOf(found.belts);
    if (belt.skipMargin === undefined) return [];
    const tension = ((belt.pretensionN! - belt.massTensionN!) * AIM) / belt.skipMargin + belt.massTensionN!;
    return [
      {
        patch: [
          { path: ['drive', 'stages', stage.id, 'pretensionN'], value: Number(tension.toPrecision(2)) },
        ],
        cost: 1,
      },
    ];
  },
});

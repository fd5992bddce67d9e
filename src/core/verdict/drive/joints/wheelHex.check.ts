import { type Measure, measure } from '../../../base/measure';
import { TYPICAL_MATERIALS } from '../../../car/material/typicalMaterials';
import { hexMissing, wheelHeld } from '../../../worked/drive/jointOfBuild';
import type { PeakCause } from '../../../worked/drive/peakTorque';
import { defineCheck, type Found, type Proposal } from '../../engine/check';
import { finding, working } from '../../../base/finding';
import type { TorqueBy } from '../gears/onTeeth';
import { wheelHexFace } from './wheelHex.face';

declare module '../../../base/finding' {
  interface FindingFacts {
    'joint.wheel': TorqueBy & { carries: Measure; across: Measure; deep: Measure; material: string };
  }
  interface WorkingFacts {
    'joint.wheel': {
      by: PeakCause;
      demandNm: number;
      strengthMpa: number;
      acrossFlatsMm: number;
      lengthMm: number;
      carriesNm: number;
    };
  }
}

/** The hex that turns a wheel, against the largest torque on one wheel. */
export const wheelHex = defineCheck({
  ...wheelHexFace,
  find: (subject): Found => {
    const { document, surface } = subject;
    const input = subject.runInput();
    const missing = [...hexMissing(document), ...(input.ok ? [] : input.missing)];
    if (missing.length > 0 || !input.ok || !surface) return { missing };
    const { asked, result } = wheelHeld({ document, surface, input: input.value, run: subject.run()! });
    const { acrossFlatsMm, lengthMm, material } = document.drive.wheelHex!;
    return {
      value: result.torqueNm,
      limit: asked.torqueNm,
      finding: finding('joint.wheel', {
        carries: measure(result.torqueNm, 'torqueNm'),
        torque: measure(asked.torqueNm, 'torqueNm'),
        by: asked.by,
        across: measure(acrossFlatsMm!, 'fitMm'),
        deep: measure(lengthMm!, 'lengthMm'),
        material: material!.name,
      }),
      working: working('joint.wheel', {
        by: asked.by,
        demandNm: asked.torqueNm,
        strengthMpa: material!.inPlaneStrengthMpa,
        acrossFlatsMm: acrossFlatsMm!,
        lengthMm: lengthMm!,
        carriesNm: result.torqueNm,
      }),
    };
  },
  remedies: ({ document }): Proposal[] => {
    const { lengthMm } = document.drive.wheelHex ?? {};
    if (lengthMm === undefined) return [];
    return [
      { patch: [{ path: ['drive', 'wheelHex', 'lengthMm'], value: 2 * lengthMm }], cost: 2 },
      {
        patch: [
          {
            path: ['drive', 'wheelHex', 'material'],
            value: { libraryId: 'material-aluminium', ...TYPICAL_MATERIALS.aluminium },
          },
        ],
        cost: 2,
      },
    ];
  },
});

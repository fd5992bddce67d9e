import { CalcError, type Refused } from '../../../base/errors';
import { finding, working } from '../../../base/finding';
import { type Measure, measure } from '../../../base/measure';
import { TYPICAL_MATERIALS } from '../../../car/material/typicalMaterials';
import { mountMissing, type Opening, openingOf } from '../../../worked/transmissions/openingOfBuild';
import { mountedStages } from '../../../worked/drive/stageKinds';
import type { Worked } from '../../../worked/worked';
import { defineCheck, type Found, type Proposal } from '../../engine/check';
import { openingFace } from './opening.face';
import { drivenSetting, type TorqueBy } from './onTeeth';

declare module '../../../base/finding' {
  interface FindingFacts {
    'gears.opening.apart': TorqueBy & { opens: Measure; contact: Measure; skips: boolean };
    'gears.opening.loose': { play: Measure };
    'gears.opening.refused': { refused: Refused };
  }
  interface WorkingFacts {
    'gears.opening': {
      torqueNm: number;
      forceN: number;
      stiffnessNPerMm: number;
      playMm: number;
      openingMm: number;
      contactRatio: number;
      contactRatioOpened: number;
      torqueAtSkipNm: number;
    };
  }
}

/** Margin that a remedy aims at, a little over where it is clear. */
const AIM = 1.6;
const STIFFER = ['petg', 'nylonCarbon', 'aluminium'] as const;

/** Whether the mount lets the teeth push their gears apart until they skip. */
export const opening = defineCheck({
  ...openingFace,
  find: (subject): Found => {
    const worst = worstOf(subject);
    if ('missing' in worst) return worst;
    if ('refused' in worst)
      return {
        state: 'over',
        margin: 0,
        finding: finding('gears.opening.refused', { refused: worst.refused.refused }),
      };
    const { stage, load, found } = worst;
    const { skipMargin, torqueAtSkipNm } = found;
    if (skipMargin === undefined || torqueAtSkipNm === undefined)
      return {
        state: 'over',
        margin: 0,
        finding: finding('gears.opening.loose', { play: measure(stage.bearingPlayMm ?? 0, 'fitMm', 2) }),
      };
    return {
      value: skipMargin,
      limit: 1,
      finding: finding('gears.opening.apart', {
        torque: measure(load.pinionNm, 'torqueNm'),
        by: load.by,
        opens: measure(found.openingMm, 'fitMm', 2),
        contact: measure(found.contactRatioOpened, 'coefficient', 3),
        skips: found.state === 'skips',
      }),
      working: working('gears.opening', {
        torqueNm: load.pinionNm,
        forceN: found.separationForceN,
        stiffnessNPerMm: found.stiffnessNPerMm,
        playMm: stage.bearingPlayMm ?? 0,
        openingMm: found.openingMm,
        contactRatio: found.contactRatio,
        contactRatioOpened: found.contactRatioOpened,
        torqueAtSkipNm,
      }),
    };
  },
  remedies: (subject) => {
    const worst = worstOf(subject);
    return 'found' in worst ? stiffer(worst) : [];
  },
});

function worstOf(subject: Worked): Opening | { missing: readonly string[] } | { refused: CalcError } {
  const stages = mountedStages(subject.document.drive.stages);
  const setting = drivenSetting(subject);
  const missing = [...stages.flatMap(mountMissing), ...('missing' in setting ? setting.missing : [])];
  if (missing.length > 0 || 'missing' in setting) return { missing };
  try {
    return stages
      .map((stage) => openingOf(setting, stage))
      .reduce((a, b) => ((b.found.skipMargin ?? 0) < (a.found.skipMargin ?? 0) ? b : a));
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return { refused: error };
  }
}

/** A beam is stiffer with the cube of its thickness, and in another material; without play the teeth start deeper. */
function stiffer({ stage, found }: Opening): Proposal[] {
  const { mount, bearingPlayMm = 0 } = stage;
  const path = (key: string) => ['drive', 'stages', stage.id, key];
  const { skipMargin } = found;
  const thickness =
    mount?.thicknessMm === undefined || skipMargin === undefined || mount.stiffnessNPerMm !== undefined
      ? undefined
      : Math.ceil(2 * mount.thicknessMm * Math.cbrt(AIM / skipMargin)) / 2;
  return [
    ...(thickness !== undefined && thickness > mount!.thicknessMm!
      ? [{ patch: [{ path: [...path('mount'), 'thicknessMm'], value: thickness }], cost: 2 as const }]
      : []),
    ...(bearingPlayMm > 0 ? [{ patch: [{ path: path('bearingPlayMm'), value: 0 }], cost: 2 as const }] : []),
    ...(mount?.material
      ? STIFFER.filter((id) => TYPICAL_MATERIALS[id].modulusMpa > mount.material!.modulusMpa).map((id) => ({
          patch: [
            {
              path: [...path('mount'), 'material'],
              value: { libraryId: `material-${id}`, ...TYPICAL_MATERIALS[id] },
            },
          ],
          cost: 2 as const,
        }))
      : []),
    ...(mount?.stiffnessNPerMm !== undefined && skipMargin !== undefined
      ? [
          {
            patch: [
              {
                path: [...path('mount'), 'stiffnessNPerMm'],
                value: Number(((mount.stiffnessNPerMm * AIM) / skipMargin).toPrecision(2)),
              },
            ],
            cost: 3 as const,
          },
        ]
      : []),
  ];
}

import type { StageKind } from '../../../car/stages/stage';
import { type Measure, measure } from '../../../base/measure';
import { type PeakCause, peakTorques } from '../../../worked/drive/peakTorque';
import { judgedStages, teethOf, type Tooth } from '../../../worked/drive/toothOfBuild';
import type { Worked } from '../../../worked/worked';
import { defineCheck, type Proposal } from '../../engine/check';
import { toothFace } from './tooth.face';
import { finding, working } from '../../../base/finding';
import {
  coarser,
  type GearNamed,
  gearNamed,
  inOtherMaterial,
  onTeeth,
  toothSettingOf,
  type TorqueBy,
  wider,
} from './onTeeth';

declare module '../../../base/finding' {
  interface FindingFacts {
    'gears.tooth.soft': GearNamed & { at: Measure };
    'gears.tooth.loaded': GearNamed & TorqueBy & { strips: Measure; unjudged: readonly StageKind[] };
  }
  interface WorkingFacts {
    'gears.tooth': {
      candidates: Readonly<Partial<Record<PeakCause, number>>>;
      by: PeakCause;
      torqueNm: number;
      teeth: number;
      moduleMm: number;
      faceWidthMm: number;
      strengthMpa: number;
      softeningC: number;
      temperatureC: number;
      kind: StageKind;
      bending: Tooth['bending'];
    };
  }
}

/** Margin that a remedy aims at, a little over where it is clear. */
const AIM = 1.6;

/** The weakest gear of all stages at the build's peak torque and temperature. */
export const tooth = defineCheck({
  ...toothFace,
  find: (subject) =>
    onTeeth(subject, (teeth, { document, surface, input, run }) => {
      const weakest = teeth[0]!;
      const { bending, load, torqueNm, temperatureC, stage, material } = weakest;
      if (bending.margin === undefined) return { missing: ['drive.stages:load'] };
      return {
        value: bending.margin,
        limit: 1,
        finding:
          bending.allowableMpa === 0
            ? finding('gears.tooth.soft', {
                ...gearNamed(weakest),
                at: measure(temperatureC, 'temperatureC'),
              })
            : finding('gears.tooth.loaded', {
                ...gearNamed(weakest),
                torque: measure(torqueNm, 'torqueNm'),
                by: load.by,
                strips: measure(bending.torqueAtMargin1Nm, 'torqueNm'),
                unjudged: judgedStages(document.drive).open.map(({ kind }) => kind),
              }),
        working: working('gears.tooth', {
          candidates: peakTorques(document, surface, input, run).candidates,
          by: load.by,
          torqueNm,
          teeth: weakest.teeth,
          moduleMm: stage.moduleMm!,
          faceWidthMm: stage.faceWidthMm!,
          strengthMpa: material.inPlaneStrengthMpa,
          softeningC: material.softeningC,
          temperatureC,
          kind: stage.kind,
          bending,
        }),
      };
    }),
  remedies: (subject) => {
    const setting = toothSettingOf(subject);
    if ('missing' in setting) return [];
    const weakest = teethOf(setting)[0]!;
    const width = weakest.bending.faceWidthForMargin2Mm;
    return [
      ...(width === undefined ? [] : wider(weakest, Math.ceil((AIM * width) / 2))),
      ...coarser(weakest),
      ...inOtherMaterial(
        weakest,
        weakest.role === 'pinion' ? ['brass', 'steel', 'hardSteel'] : ['nylonCarbon', 'acetal', 'steel'],
      ),
      ...clutched(subject, weakest),
    ];
  },
});

/** A clutch that slips before the tooth strips, and still drives the wheels to their grip. */
function clutched(subject: Worked, { bending, load }: Tooth): Proposal[] {
  const setting = toothSettingOf(subject);
  if (load.by !== 'landing' || bending.margin === undefined || 'missing' in setting) return [];
  const { document, surface, input, run } = setting;
  const landing = peakTorques(document, surface, input, run).landing!.motorNm;
  const rounded = Number(((landing * bending.margin) / AIM).toPrecision(2));
  return rounded > 0 && rounded < (document.drive.clutchNm ?? Infinity)
    ? [{ patch: [{ path: ['drive', 'clutchNm'], value: rounded }], cost: 2 }]
    : [];
}

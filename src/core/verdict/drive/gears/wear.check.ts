import { type Measure, measure } from '../../../base/measure';
import { teethOf, type Tooth } from '../../../worked/drive/toothOfBuild';
import { defineCheck } from '../../engine/check';
import { MOST_HOURS, wearFace } from './wear.face';
import { finding, working } from '../../../base/finding';
import { type GearNamed, gearNamed, inOtherMaterial, onTeeth, toothSettingOf, wider } from './onTeeth';

declare module '../../../base/finding' {
  interface FindingFacts {
    'gears.wear.none': Record<never, never>;
    'gears.wear.hours': GearNamed & { hours: Measure; beyond: boolean; worn: Measure };
  }
  interface WorkingFacts {
    'gears.wear': {
      forceN: number;
      pitchLineMps: number;
      wearMmPerHour: number;
      wearMm3PerNm: number;
      moduleMm: number;
      hours: number;
    };
  }
}

export const USUAL_GEAR_HOURS = 10;
/** Hours that a remedy aims at, over those wanted. */
const AIM = 1.6;
/** Share of the module that may wear off a flank. Source: VDI 2736-2. */
const WORN_OF_MODULE = 0.2;

/** Hours until a flank is worn, against the hours wanted. */
export const wear = defineCheck({
  ...wearFace,
  find: (subject) =>
    onTeeth(subject, (teeth, { document }) => {
      const limit = document.drive.gearHours ?? USUAL_GEAR_HOURS;
      const worst = soonest(teeth);
      if (!worst) return { value: limit, limit, margin: 1e6, finding: finding('gears.wear.none', {}) };
      const { worn, stage, material } = worst;
      const hours = worn!.hoursToWearLimit!;
      const counted = Math.max(MOST_HOURS, limit);
      return {
        value: hours,
        limit,
        margin: hours / limit,
        finding: finding('gears.wear.hours', {
          ...gearNamed(worst),
          hours: measure(Math.min(counted, hours), 'hours'),
          beyond: hours > counted,
          worn: measure(WORN_OF_MODULE * stage.moduleMm!, 'lengthMm'),
        }),
        working: working('gears.wear', {
          forceN: worn!.tangentialForceN,
          pitchLineMps: worn!.pitchLineMps,
          wearMmPerHour: worn!.wearMmPerHour!,
          wearMm3PerNm: material.wearCoefficientMm3PerNm!,
          moduleMm: stage.moduleMm!,
          hours,
        }),
      };
    }),
  remedies: (subject) => {
    const setting = toothSettingOf(subject);
    const worst = 'missing' in setting ? undefined : soonest(teethOf(setting));
    if (!worst) return [];
    const wanted = subject.document.drive.gearHours ?? USUAL_GEAR_HOURS;
    return [
      ...wider(worst, Math.ceil((AIM * wanted * worst.stage.faceWidthMm!) / worst.worn!.hoursToWearLimit!)),
      ...inOtherMaterial(worst, ['nylon', 'acetal', 'steel']),
    ];
  },
});

const soonest = (teeth: readonly Tooth[]): Tooth | undefined =>
  teeth
    .filter(({ worn }) => worn?.hoursToWearLimit !== undefined)
    .sort((a, b) => a.worn!.hoursToWearLimit! - b.worn!.hoursToWearLimit!)[0];

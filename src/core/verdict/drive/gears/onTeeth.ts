import type { Measure } from '../../../base/measure';
import { TYPICAL_MATERIALS, type TypicalMaterialId } from '../../../car/material/typicalMaterials';
import type { PeakCause } from '../../../worked/drive/peakTorque';
import { teethOf, type Tooth, toothMissing, type ToothSetting } from '../../../worked/drive/toothOfBuild';
import { spurStages } from '../../../worked/drive/stageMesh';
import type { Worked } from '../../../worked/worked';
import type { Found, Proposal } from '../../engine/check';

/** A gear as its sentences name it. */
export interface GearNamed {
  role: Tooth['role'];
  teeth: number;
  material: string;
}

/** A torque and where it comes from. */
export interface TorqueBy {
  torque: Measure;
  by: PeakCause;
}

export const gearNamed = ({ role, teeth, material }: Tooth): GearNamed => ({
  role,
  teeth,
  material: material.name,
});

/** What the teeth of a build stand in, or what it still needs. */
export function toothSettingOf(subject: Worked): { missing: readonly string[] } | ToothSetting {
  const { document, surface } = subject;
  const stages = spurStages(document.drive);
  const pack = subject.endurance();
  const input = subject.runInput();
  const missing = [
    ...(stages.length === 0 ? ['drive.stages:spur'] : []),
    ...stages.flatMap(toothMissing),
    ...(pack.ok ? [] : pack.missing),
  ];
  if (missing.length > 0 || !pack.ok || !input.ok || !surface) return { missing };
  return { document, surface, input: input.value, run: subject.run()!, pack: pack.value };
}

export function onTeeth(subject: Worked, find: (teeth: Tooth[], setting: ToothSetting) => Found): Found {
  const setting = toothSettingOf(subject);
  return 'missing' in setting ? setting : find(teethOf(setting), setting);
}

/** Widest printed gear that is still one part, in modules. */
const WIDEST_MODULES = 30;

export function wider({ stage }: Tooth, widthMm: number): Proposal[] {
  if (widthMm <= stage.faceWidthMm! || widthMm > WIDEST_MODULES * stage.moduleMm!) return [];
  return [{ patch: [{ path: ['drive', 'stages', stage.id, 'faceWidthMm'], value: widthMm }], cost: 1 }];
}

export const inOtherMaterial = (
  { stage, role, material }: Tooth,
  among: readonly TypicalMaterialId[],
): Proposal[] =>
  among
    .filter((id) => TYPICAL_MATERIALS[id].name !== material.name)
    .map((id) => ({
      patch: [
        {
          path: ['drive', 'stages', stage.id, role, 'material'],
          value: { libraryId: `material-${id}`, ...TYPICAL_MATERIALS[id] },
        },
      ],
      cost: 2,
    }));

import { enduranceOf } from '../../../worked/heat/enduranceOf';
import type { Measure } from '../../../base/measure';
import { TYPICAL_MATERIALS, type TypicalMaterialId } from '../../../car/material/typicalMaterials';
import type { PeakCause } from '../../../worked/drive/peakTorque';
import type { Stage, StageKind } from '../../../car/stages/stage';
import {
  judgedStages,
  teethOf,
  type Tooth,
  toothMissing,
  type ToothSetting,
} from '../../../worked/drive/toothOfBuild';
import { isConical } from '../../../worked/drive/stageKinds';
import type { Worked } from '../../../worked/worked';
import type { Found, Proposal } from '../../engine/check';

/** A gear as its sentences name it. */
export interface GearNamed {
  kind: StageKind;
  role: Tooth['role'];
  teeth: number;
  material: string;
}

/** A torque and where it comes from. */
export interface TorqueBy {
  torque: Measure;
  by: PeakCause;
}

export const gearNamed = ({ stage, role, teeth, material }: Tooth): GearNamed => ({
  kind: stage.kind,
  role,
  teeth,
  material: material.name,
});

/** What the teeth of a build stand in, or what it still needs. */
export function toothSettingOf(subject: Worked): { missing: readonly string[] } | ToothSetting {
  const { document, surface } = subject;
  const { judged, open } = judgedStages(document.drive);
  const pack = enduranceOf(subject);
  const input = subject.runInput();
  const missing = [
    ...(judged.length + open.length === 0 ? ['drive.stages:spur'] : []),
    // spur gears come first, and so does any stage while none is known
    ...open.filter(({ kind }) => kind === 'spur' || judged.length === 0).flatMap(toothMissing),
    ...(pack.ok ? [] : pack.missing),
  ];
  if (missing.length > 0 || !pack.ok || !input.ok || !surface) return { missing };
  return { document, surface, input: input.value, run: subject.run()!, pack: pack.value };
}

/** What the drive of a build stands in without its pack, or what it still needs. */
export function drivenSetting({
  document,
  surface,
  ...subject
}: Pick<Worked, 'document' | 'surface' | 'runInput' | 'run'>):
  { missing: readonly string[] } | Omit<ToothSetting, 'pack'> {
  const input = subject.runInput();
  if (!input.ok) return { missing: input.missing };
  if (!surface) return { missing: ['brief.surfaces'] };
  return { document, surface, input: input.value, run: subject.run()! };
}

export function onTeeth(subject: Worked, find: (teeth: Tooth[], setting: ToothSetting) => Found): Found {
  const setting = toothSettingOf(subject);
  return 'missing' in setting ? setting : find(teethOf(setting), setting);
}

/** Widest printed gear that is still one part, in modules. */
const WIDEST_MODULES = 30;

/** Beyond it the narrow end of a cone bends away from the load. Source: ISO 23509. */
const widestBevelMm = ({ pinionTeeth, wheelTeeth, moduleMm }: Stage): number =>
  moduleMm! * Math.min(10, 0.15 * Math.hypot(pinionTeeth!, wheelTeeth!));

export function wider({ stage }: Tooth, widthMm: number): Proposal[] {
  const most = isConical(stage) ? widestBevelMm(stage) : WIDEST_MODULES * stage.moduleMm!;
  if (widthMm <= stage.faceWidthMm! || widthMm > most) return [];
  return [{ patch: [{ path: ['drive', 'stages', stage.id, 'faceWidthMm'], value: widthMm }], cost: 1 }];
}

/** Modules that are sold and printed. */
const MODULES_MM = [0.4, 0.5, 0.6, 0.8, 1, 1.25, 1.5, 2, 2.5, 3];

/** Larger teeth of a bevel or planetary pair, whose size is not tied to a motor's slot; the face grows with a bevel's cone. */
export function coarser({ stage }: Tooth): Proposal[] {
  const { id, kind, moduleMm = 0, faceWidthMm = 0 } = stage;
  if (!isConical(stage) && kind !== 'planetary') return [];
  return MODULES_MM.filter((size) => size > moduleMm * 1.01)
    .slice(0, 2)
    .map((size) => ({
      patch: [
        { path: ['drive', 'stages', id, 'moduleMm'], value: size },
        ...(isConical(stage)
          ? [
              {
                path: ['drive', 'stages', id, 'faceWidthMm'],
                value: Number(((faceWidthMm * size) / moduleMm).toPrecision(2)),
              },
            ]
          : []),
      ],
      cost: 2,
    }));
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

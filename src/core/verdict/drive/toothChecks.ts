import type { CheckDefinition, Finding, Proposal } from '../engine/check';
import type { Subject } from '../../worked/subject';
import { spurStages } from '../../worked/drive/stageMesh';
import { TYPICAL_MATERIALS, type TypicalMaterialId } from '../../car/library/typicalMaterials';
import { plain } from '../../base/units/plain';
import { CAUSE_WORDS, peakTorques } from '../../worked/drive/peakTorque';
import { teethOf, type Tooth, toothMissing, type ToothSetting } from '../../worked/drive/toothOfBuild';

export const USUAL_GEAR_HOURS = 10;
/** Margin that a remedy aims at, a little over where it is clear. */
const AIM = 1.6;

/** What the teeth of a build stand in, or what it still needs. */
export function toothSettingOf(subject: Subject): { missing: readonly string[] } | ToothSetting {
  const { document, surface } = subject;
  const stages = spurStages(document.drive);
  const pack = subject.endurance();
  const input = subject.runInput();
  const missing = [
    ...(stages.length === 0 ? ['spur gears with their teeth'] : []),
    ...new Set(stages.flatMap(toothMissing)),
    ...(pack.ok ? [] : pack.missing),
  ];
  if (missing.length > 0 || !pack.ok || !input.ok || !surface) return { missing };
  return { document, surface, input: input.value, run: subject.run()!, pack: pack.value };
}

const named = ({ role, teeth, material }: Tooth) =>
  `${role} of ${teeth} teeth in ${material.name.toLowerCase()}`;

function onTeeth(subject: Subject, find: (teeth: Tooth[], setting: ToothSetting) => Finding): Finding {
  const setting = toothSettingOf(subject);
  return 'missing' in setting ? setting : find(teethOf(setting), setting);
}

const tooth: CheckDefinition = {
  id: 'gears.tooth',
  segment: 'drive',
  title: 'Weakest tooth',
  short: 'tooth',
  heavy: true,
  quantity: 'coefficient',
  kind: 'floor',
  tightUnder: 1.5,
  evaluate: (subject) =>
    onTeeth(subject, ([weakest], { document, surface, input, run }) => {
      const { bending, load, torqueNm, temperatureC, stage } = weakest!;
      if (bending.margin === undefined) return { missing: ['a load on the gears'] };
      const { candidates } = peakTorques(document, surface, input, run);
      return {
        value: bending.margin,
        limit: 1,
        why:
          bending.allowableMpa === 0
            ? `The ${named(weakest!)} is soft at ${plain(temperatureC)} °C.`
            : `The ${named(weakest!)} sees ${plain(torqueNm)} Nm from ${CAUSE_WORDS[load.by]} and strips at ${plain(bending.torqueAtMargin1Nm)} Nm.`,
        working: [
          {
            label: 'Torque at the motor’s shaft',
            formula: Object.entries(candidates)
              .map(([by, nm]) => `${CAUSE_WORDS[by as keyof typeof CAUSE_WORDS]} ${plain(nm)} Nm`)
              .join(', '),
          },
          {
            label: 'Torque on the gear',
            formula: `from ${CAUSE_WORDS[load.by]}`,
            value: torqueNm,
            quantity: 'torqueNm',
          },
          {
            label: 'Force at the pitch circle',
            formula: `2·T/d, d = ${plain(stage.moduleMm!)} · ${weakest!.teeth} mm`,
            value: bending.tangentialForceN,
            quantity: 'forceN',
          },
          {
            label: 'Bending at the root',
            formula: `${plain(bending.tangentialForceN)} N · 1.5 · ${plain(bending.dynamicFactor)}/(${plain(stage.faceWidthMm!)} · ${plain(stage.moduleMm!)} mm² · ${plain(bending.lewisY)}) = ${plain(bending.bendingStressMpa)} MPa`,
            source: 'Shigley, Mechanical Engineering Design, ch. 14 (Lewis, Barth)',
          },
          {
            label: 'Allowed',
            formula: `${plain(weakest!.material.inPlaneStrengthMpa)} MPa, straight down to nothing from 23 to ${plain(weakest!.material.softeningC)} °C: ${plain(bending.allowableMpa)} MPa at ${plain(temperatureC)} °C`,
          },
        ],
      };
    }),
  propose: (subject) =>
    onWeakest(subject, (weakest) => {
      const { bending } = weakest;
      const width = bending.faceWidthForMargin2Mm;
      return [
        ...(width === undefined ? [] : wider(weakest, Math.ceil((AIM * width) / 2))),
        ...inSomethingFirmer(
          weakest,
          weakest.role === 'wheel' ? ['nylonCarbon', 'acetal', 'steel'] : ['brass', 'steel', 'hardSteel'],
        ),
        ...clutched(subject, weakest),
      ];
    }),
};

const wear: CheckDefinition = {
  id: 'gears.wear',
  segment: 'drive',
  title: 'Gear wear',
  short: 'gear wear',
  heavy: true,
  quantity: 'hours',
  kind: 'floor',
  tightUnder: 1.5,
  evaluate: (subject) =>
    onTeeth(subject, (teeth, { document }) => {
      const limit = document.drive.gearHours ?? USUAL_GEAR_HOURS;
      const worst = soonest(teeth);
      if (!worst)
        return {
          value: limit,
          limit,
          margin: 1e6,
          why: 'Neither gear is of a material that wears away.',
          working: [],
        };
      const { worn, stage } = worst;
      return {
        value: worn!.hoursToWearLimit!,
        limit,
        why: `The flank of the ${named(worst)} is down by ${plain(0.2 * stage.moduleMm!)} mm after ${plain(worn!.hoursToWearLimit!)} hours of such driving.`,
        working: [
          {
            label: 'Mean load',
            formula: `${plain(worn!.tangentialForceN)} N at ${plain(worn!.pitchLineMps)} m/s at the pitch circle, from the root mean square current and the mean speed of the pack`,
          },
          {
            label: 'Wear',
            formula: `${plain(worn!.wearMmPerHour!)} mm an hour at ${plain(worst.material.wearCoefficientMm3PerNm! * 1e6)} · 10⁻⁶ mm³/Nm`,
            source: 'VDI 2736-2',
          },
          {
            label: 'Until a fifth of the module is gone',
            formula: `${plain(0.2 * stage.moduleMm!)} mm / ${plain(worn!.wearMmPerHour!)} mm an hour`,
            value: worn!.hoursToWearLimit!,
            quantity: 'hours',
          },
        ],
      };
    }),
  propose: (subject) => {
    const setting = toothSettingOf(subject);
    const worst = 'missing' in setting ? undefined : soonest(teethOf(setting));
    if (!worst) return [];
    const wanted = subject.document.drive.gearHours ?? USUAL_GEAR_HOURS;
    return [
      ...wider(worst, Math.ceil((AIM * wanted * worst.stage.faceWidthMm!) / worst.worn!.hoursToWearLimit!)),
      ...inSomethingFirmer(worst, ['nylon', 'acetal', 'steel']),
    ];
  },
};

export const toothChecks: readonly CheckDefinition[] = [tooth, wear];

const soonest = (teeth: readonly Tooth[]): Tooth | undefined =>
  teeth
    .filter(({ worn }) => worn?.hoursToWearLimit !== undefined)
    .sort((a, b) => a.worn!.hoursToWearLimit! - b.worn!.hoursToWearLimit!)[0];

function onWeakest(subject: Subject, offer: (weakest: Tooth) => Proposal[]): Proposal[] {
  const setting = toothSettingOf(subject);
  return 'missing' in setting ? [] : offer(teethOf(setting)[0]!);
}

/** Widest printed gear that is still one part. */
const WIDEST_MODULES = 30;

function wider({ stage }: Tooth, widthMm: number): Proposal[] {
  if (widthMm <= stage.faceWidthMm! || widthMm > WIDEST_MODULES * stage.moduleMm!) return [];
  return [
    {
      text: `Face width ${plain(stage.faceWidthMm!)} to ${widthMm} mm`,
      patch: [{ path: ['drive', 'stages', stage.id, 'faceWidthMm'], value: widthMm }],
      cost: 1,
    },
  ];
}

function inSomethingFirmer(
  { stage, role, material }: Tooth,
  among: readonly TypicalMaterialId[],
): Proposal[] {
  return among
    .filter((id) => TYPICAL_MATERIALS[id].name !== material.name)
    .map((id) => ({
      text: `${role === 'pinion' ? 'Pinion' : 'Wheel'} in ${TYPICAL_MATERIALS[id].name.toLowerCase()}`,
      patch: [
        {
          path: ['drive', 'stages', stage.id, role, 'material'],
          value: { libraryId: `material-${id}`, ...TYPICAL_MATERIALS[id] },
        },
      ],
      cost: 2,
    }));
}

/** A clutch that gives before the tooth does, and still drives the wheels to their grip. */
function clutched(subject: Subject, { bending, load }: Tooth): Proposal[] {
  const setting = toothSettingOf(subject);
  if (load.by !== 'landing' || bending.margin === undefined || 'missing' in setting) return [];
  const landing = peakTorques(setting.document, setting.surface, setting.input, setting.run).landing!.motorNm;
  const rounded = Number(((landing * bending.margin) / AIM).toPrecision(2));
  const known = setting.document.drive.clutchNm ?? Infinity;
  return rounded > 0 && rounded < known
    ? [
        {
          text: `Slip clutch that gives at ${plain(rounded)} Nm`,
          patch: [{ path: ['drive', 'clutchNm'], value: rounded }],
          cost: 2,
        },
      ]
    : [];
}

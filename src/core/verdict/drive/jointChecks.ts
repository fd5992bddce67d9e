import { JOINT_NAMES } from '../../car/labels/heatWords';
import type { CheckDefinition, Finding, Proposal } from '../engine/check';
import type { Subject } from '../../worked/subject';
import { TYPICAL_MATERIALS } from '../../car/library/typicalMaterials';
import { plain } from '../../base/units/plain';
import {
  type HeldBy,
  hexMissing,
  motorStage,
  pinionDemand,
  pinionHeld,
  pinionMissing,
  wheelHeld,
} from '../../worked/drive/jointOfBuild';
import { CAUSE_WORDS, peakTorques } from '../../worked/drive/peakTorque';

/** Every joint of the pinion at the heat page's temperature, or what is missing. */
export function pinionJointsOf(subject: Subject) {
  const { document, surface } = subject;
  const stage = motorStage(document);
  const pack = subject.endurance();
  const input = subject.runInput();
  const missing = [...pinionMissing(stage), ...(pack.ok ? [] : pack.missing)];
  if (missing.length > 0 || !pack.ok || !input.ok || !surface || !stage) return { missing };
  const asked = pinionDemand(peakTorques(document, surface, input.value, subject.run()!));
  const temperatureC = pack.value.unlimited.peakCaseC;
  return { stage, asked, temperatureC, held: pinionHeld(stage, temperatureC, asked.torqueNm) };
}

const pinion: CheckDefinition = {
  id: 'joint.pinion',
  segment: 'drive',
  title: 'Pinion on its shaft',
  short: 'pinion joint',
  heavy: true,
  quantity: 'torqueNm',
  kind: 'floor',
  tightUnder: 1.5,
  evaluate: (subject) => {
    const kind = subject.document.drive.heat?.pinionJoint;
    const found = pinionJointsOf(subject);
    if ('missing' in found && found.missing)
      return { missing: [...found.missing, ...(kind ? [] : ['what holds the pinion'])] };
    if (!kind) return { missing: ['what holds the pinion'] };
    const { asked, temperatureC, held } = found;
    const own = held!.find((one) => one.kind === kind)!;
    if ('needs' in own) return { missing: [own.needs] };
    const { torqueNm, softensAtC, splits } = own.result;
    const soft = softensAtC !== undefined && softensAtC <= temperatureC!;
    return {
      value: torqueNm,
      limit: asked!.torqueNm,
      ...(splits ? { margin: 0 } : {}),
      why: splits
        ? `The hub splits as it is pressed on: ${plain(own.result.hoopMpa!)} MPa around it.`
        : soft
          ? `${firstUp(plainName(kind))}: the shaft is at ${plain(temperatureC!)} °C and it lets go at ${plain(softensAtC)} °C.`
          : `Held by ${plainName(kind)}, it carries ${plain(torqueNm)} Nm at ${plain(temperatureC!)} °C; ${CAUSE_WORDS[asked!.by]} asks ${plain(asked!.torqueNm)} Nm.`,
      working: [
        {
          label: 'Asked of it',
          formula: `the largest torque at one motor’s shaft, from ${CAUSE_WORDS[asked!.by]}`,
          value: asked!.torqueNm,
          quantity: 'torqueNm',
        },
        {
          label: 'Temperature',
          formula: 'peak of the motor’s case over a pack',
          value: temperatureC!,
          quantity: 'temperatureC',
        },
        {
          label: 'Carries',
          formula: `${plainName(kind)} on a shaft of ${plain(found.stage!.pinion!.boreMm!)} mm`,
          value: torqueNm,
          quantity: 'torqueNm',
          source: 'Shigley, Mechanical Engineering Design, ch. 3-16 and 7',
        },
      ],
    };
  },
  propose: (subject) => {
    const found = pinionJointsOf(subject);
    if (!('held' in found) || !found.held) return [];
    return found.held
      .filter(
        (one): one is HeldBy & { result: { margin?: number } } =>
          'result' in one && !one.result.splits && (one.result.margin ?? 0) > 1,
      )
      .map(({ kind }) => ({
        text: `Hold it by ${plainName(kind)}`,
        patch: [{ path: ['drive', 'heat', 'pinionJoint'], value: kind }],
        cost: 1,
      }));
  },
};

const plainName = (kind: HeldBy['kind']) => JOINT_NAMES[kind].replace(/, \d+ °C$/, '');
const firstUp = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

const wheel: CheckDefinition = {
  id: 'joint.wheel',
  segment: 'drive',
  title: 'Wheel on its hex',
  short: 'wheel hex',
  quantity: 'torqueNm',
  kind: 'floor',
  tightUnder: 1.5,
  evaluate: (subject): Finding => {
    const { document, surface } = subject;
    const input = subject.runInput();
    const missing = [...hexMissing(document), ...(input.ok ? [] : input.missing)];
    if (missing.length > 0 || !input.ok || !surface) return { missing };
    const { asked, result } = wheelHeld({ document, surface, input: input.value, run: subject.run()! });
    const { acrossFlatsMm, lengthMm, material } = document.drive.wheelHex!;
    return {
      value: result.torqueNm,
      limit: asked.torqueNm,
      why: `A hex of ${plain(acrossFlatsMm!)} mm, ${plain(lengthMm!)} mm deep in ${material!.name.toLowerCase()}, carries ${plain(result.torqueNm)} Nm; ${CAUSE_WORDS[asked.by]} puts ${plain(asked.torqueNm)} Nm on one wheel.`,
      working: [
        {
          label: 'Asked of it',
          formula: `one wheel, from ${CAUSE_WORDS[asked.by]}`,
          value: asked.torqueNm,
          quantity: 'torqueNm',
        },
        {
          label: 'Carries',
          formula: `${plain(material!.inPlaneStrengthMpa)} MPa · (${plain(acrossFlatsMm!)} mm)² · ${plain(lengthMm!)} mm / 6, less by heat`,
          value: result.torqueNm,
          quantity: 'torqueNm',
          source: 'triangular pressure on six flats, by equilibrium',
        },
      ],
    };
  },
  propose: ({ document }): Proposal[] => {
    const { lengthMm } = document.drive.wheelHex ?? {};
    if (lengthMm === undefined) return [];
    return [
      {
        text: `Hex ${plain(lengthMm)} to ${plain(2 * lengthMm)} mm deep`,
        patch: [{ path: ['drive', 'wheelHex', 'lengthMm'], value: 2 * lengthMm }],
        cost: 2,
      },
      {
        text: 'Hex let into a hub of aluminium',
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
};

export const jointChecks: readonly CheckDefinition[] = [pinion, wheel];

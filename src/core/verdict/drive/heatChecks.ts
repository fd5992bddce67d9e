import type { CheckDefinition, Finding, Proposal } from '../engine/check';
import type { WholePack } from '../../worked/drive/wholePack';
import type { Subject } from '../../worked/subject';
import { plain } from '../../base/units/plain';
import type { Patch } from '../../base/patch';
import { caseLimitOf } from '../../worked/drive/enduranceOfBuild';
import { workingHeat } from '../../physics/heat/heatWorking';
import { gearedStage } from '../../worked/drive/teeth';

/** A rise so small that it is no rise, K. */
const LEAST_RISE_K = 0.1;
/** Fewest teeth that a remedy leaves on a pinion. */
const FEWEST_AFTER = 8;

/** Held against a limit of temperature: the rise of a whole pack against the rise that is left. */
function held(
  subject: Subject,
  node: 'case' | 'winding',
  limitOf: (pack: WholePack) => number,
  whyOf: (pack: WholePack) => string,
): Finding {
  const found = subject.endurance();
  if (!found.ok) return { missing: found.missing };
  const { unlimited, input } = found.value;
  const { ambientC } = input.thermal;
  const limit = limitOf(found.value);
  if (unlimited.durationS === 0)
    return {
      value: ambientC,
      limit,
      margin: 0,
      state: 'over',
      why: 'It does not get under way, and all the current turns to heat.',
      working: [],
    };
  const value = node === 'case' ? unlimited.peakCaseC : unlimited.peakWindingC;
  return {
    value,
    limit,
    margin: (limit - ambientC) / Math.max(LEAST_RISE_K, value - ambientC),
    why: whyOf(found.value),
    working: workingHeat(input, unlimited),
  };
}

const shared = {
  segment: 'drive',
  heavy: true,
  quantity: 'temperatureC',
  kind: 'ceiling',
  tightUnder: 1.15,
} as const;

const heat: CheckDefinition = {
  ...shared,
  id: 'drive.heat',
  title: 'Motor case over a pack',
  short: 'heat',
  evaluate: (subject) => {
    const { limitC, what, softens } = caseLimitOf(subject.document.drive);
    const bears = `${what} ${softens ? 'softens at' : 'bears'} ${plain(limitC)} °C`;
    return held(
      subject,
      'case',
      () => limitC,
      ({ ended, unlimited, input }) =>
        ended.endedBy === 'case'
          ? `The case is at ${plain(limitC)} °C after ${plain(ended.durationS / 60)} min: ${bears}.`
          : `The case peaks at ${plain(unlimited.peakCaseC)} °C in air of ${plain(input.thermal.ambientC)} °C; ${bears}.`,
    );
  },
  propose: (subject) => [...cooler(subject), ...firmer(subject), ...shorter(subject)],
};

const winding: CheckDefinition = {
  ...shared,
  id: 'drive.winding',
  title: 'Winding over a pack',
  short: 'winding',
  evaluate: (subject) =>
    held(
      subject,
      'winding',
      ({ input }) => input.thermal.windingLimitC!,
      ({ ended, unlimited }) =>
        ended.endedBy === 'winding'
          ? `The enamel is at its limit after ${plain(ended.durationS / 60)} min.`
          : `${plain(unlimited.peakWindingC - unlimited.peakCaseC)} K above the case at the peak.`,
    ),
  propose: (subject) => [...cooler(subject), ...shorter(subject)],
};

export const heatChecks: readonly CheckDefinition[] = [heat, winding];

const edit = (key: string, value: unknown): Patch => [{ path: ['drive', 'heat', key], value }];

function cooler({ document }: Subject): Proposal[] {
  const { housing, body = 'open' } = document.drive.heat ?? {};
  return [
    ...(housing === 'heatsink'
      ? []
      : [{ text: 'Clip a heat sink on the motor', patch: edit('housing', 'heatsink'), cost: 1 as const }]),
    ...(body === 'closed'
      ? [{ text: 'Open the body over the motor', patch: edit('body', 'open'), cost: 1 as const }]
      : []),
  ];
}

/** A joint or a mount that bears more. */
function firmer({ document }: Subject): Proposal[] {
  const { pinionJoint, mountMaterial } = document.drive.heat ?? {};
  const soft = caseLimitOf(document.drive).what;
  if (soft.includes('pinion') && pinionJoint)
    return [{ text: 'Hold the pinion with a set screw', patch: edit('pinionJoint', 'screw'), cost: 2 }];
  if (soft.includes('mount') && mountMaterial)
    return [
      { text: 'Print the mount in polycarbonate', patch: edit('mountMaterial', 'polycarbonate'), cost: 2 },
    ];
  return [];
}

/** A shorter gear asks less torque of the motor; another winding at the same gear would make the same heat. */
function shorter({ document }: Subject): Proposal[] {
  const stage = gearedStage(document.drive);
  const pinion = stage?.pinionTeeth ?? 0;
  return pinion < FEWEST_AFTER + 2
    ? []
    : [
        {
          text: `Pinion ${pinion} to ${pinion - 2} teeth`,
          patch: [{ path: ['drive', 'stages', stage!.id, 'pinionTeeth'], value: pinion - 2 }],
          cost: 1,
        },
      ];
}

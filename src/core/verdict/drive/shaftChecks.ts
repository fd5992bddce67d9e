import type { CheckDefinition, Finding, Proposal } from '../engine/check';
import type { Subject } from '../../worked/subject';
import type { Shaft } from '../../car/document/drive';
import { plain } from '../../base/units/plain';
import { CAUSE_WORDS } from '../../worked/drive/peakTorque';
import { type ShaftFound, shaftMissing, shaftsOf } from '../../worked/drive/shaftOfBuild';

const AIM = 1.4;
const NAMES: Readonly<Record<Shaft['kind'], string>> = { axle: 'wheel axle', long: 'long shaft' };

function onShafts(
  subject: Subject,
  counts: (shaft: Shaft) => boolean,
  none: string,
): { missing: string[] } | ShaftFound[] {
  const { document, surface } = subject;
  const own = (document.drive.shafts ?? []).filter(counts);
  const input = subject.runInput();
  const missing = [
    ...(own.length === 0 ? [none] : []),
    ...new Set(own.flatMap(shaftMissing)),
    ...(input.ok ? [] : input.missing),
  ];
  if (missing.length > 0 || !input.ok || !surface) return { missing };
  return shaftsOf({ document, surface, input: input.value, run: subject.run()! }).filter(({ shaft }) =>
    counts(shaft),
  );
}

const weakest = (found: readonly ShaftFound[], margin: (one: ShaftFound) => number | undefined) =>
  [...found].sort((a, b) => (margin(a) ?? Infinity) - (margin(b) ?? Infinity))[0]!;
const path = (shaft: Shaft, key: string) => ['drive', 'shafts', shaft.id, key];

const strength: CheckDefinition = {
  id: 'shaft.strength',
  segment: 'drive',
  title: 'Shafts under load',
  short: 'shafts',
  quantity: 'coefficient',
  kind: 'floor',
  tightUnder: 1.3,
  evaluate: (subject): Finding => {
    const found = onShafts(subject, () => true, 'a shaft');
    if ('missing' in found) return found;
    const { shaft, result, torque, forceN, bentBy } = weakest(found, (one) => one.result.margin);
    if (result.margin === undefined) return { missing: ['a load on the shafts'] };
    const bending = bentBy
      ? ` and ${plain(forceN)} N from a ${bentBy} ${plain(shaft.overhangMm!)} mm out`
      : '';
    return {
      value: result.margin,
      limit: 1,
      why: `The ${NAMES[shaft.kind]} of ${plain(shaft.diameterMm!)} mm in ${shaft.material!.name.toLowerCase()} sees ${plain(torque.torqueNm)} Nm from ${CAUSE_WORDS[torque.by]}${bending}: ${plain(result.vonMisesMpa)} of ${plain(shaft.material!.inPlaneStrengthMpa)} MPa.`,
      working: [
        {
          label: 'Bending',
          formula: `32·M/(π·d³), M = ${plain(forceN)} N · ${plain(shaft.overhangMm ?? 0)} mm: ${plain(result.bendingStressMpa)} MPa`,
        },
        {
          label: 'Torsion',
          formula: `16·T/(π·d³), T = ${plain(torque.torqueNm)} Nm: ${plain(result.shearStressMpa)} MPa`,
        },
        {
          label: 'Together',
          formula: `√(σ² + 3·τ²) = ${plain(result.vonMisesMpa)} MPa against ${plain(shaft.material!.inPlaneStrengthMpa)} MPa`,
          source: 'Shigley, Mechanical Engineering Design, ch. 7',
        },
      ],
    };
  },
  propose: (subject): Proposal[] => {
    const found = onShafts(subject, () => true, '');
    if ('missing' in found) return [];
    const { shaft, result } = weakest(found, (one) => one.result.margin);
    const diameter = Math.ceil(2 * shaft.diameterMm! * (AIM / result.margin!) ** (1 / 3)) / 2;
    return [
      ...(diameter > shaft.diameterMm!
        ? [
            {
              text: `${NAMES[shaft.kind].replace(/^./, (one) => one.toUpperCase())} ${plain(shaft.diameterMm!)} to ${plain(diameter)} mm`,
              patch: [{ path: path(shaft, 'diameterMm'), value: diameter }],
              cost: 2 as const,
            },
          ]
        : []),
      ...(shaft.kind === 'axle' && shaft.overhangMm! > 4
        ? [
            {
              text: `Bearing ${plain(shaft.overhangMm! / 2)} mm closer to the wheel`,
              patch: [{ path: path(shaft, 'overhangMm'), value: shaft.overhangMm! / 2 }],
              cost: 3 as const,
            },
          ]
        : []),
    ];
  },
};

const whirl: CheckDefinition = {
  id: 'shaft.whirl',
  segment: 'drive',
  title: 'Long shaft at speed',
  short: 'shaft whirl',
  anySurface: true,
  quantity: 'rpm',
  kind: 'floor',
  tightUnder: 1.3,
  evaluate: (subject): Finding => {
    const found = onShafts(subject, ({ kind }) => kind === 'long', 'a long shaft');
    if ('missing' in found) return found;
    const { shaft, result, maxRpm, spanMm } = weakest(found, (one) => one.result.whirlMargin);
    return {
      value: result.whirlRpm!,
      limit: maxRpm!,
      why: `Over ${plain(spanMm!)} mm it starts to whip at ${plain(result.whirlRpm!)} rpm; wheels in the air it turns ${plain(maxRpm!)} rpm.`,
      working: [
        {
          label: 'Whirl',
          formula: `60·(π/2)·√(E·I/(μ·L⁴)), ${plain(shaft.diameterMm!)} mm${shaft.boreMm ? ` bored ${plain(shaft.boreMm)} mm` : ''} over ${plain(spanMm!)} mm in ${shaft.material!.name.toLowerCase()}`,
          value: result.whirlRpm!,
          quantity: 'rpm',
          source: 'Shigley, Mechanical Engineering Design, ch. 7 (Rayleigh)',
        },
        {
          label: 'Fastest',
          formula: 'no-load speed of the motor over the stages before it',
          value: maxRpm!,
          quantity: 'rpm',
        },
      ],
    };
  },
  propose: (subject): Proposal[] => {
    const found = onShafts(subject, ({ kind }) => kind === 'long', '');
    if ('missing' in found) return [];
    const { shaft } = weakest(found, (one) => one.result.whirlMargin);
    const diameterMm = Math.ceil(1.5 * shaft.diameterMm!);
    return [
      ...(shaft.halves
        ? []
        : [
            {
              text: 'A bearing in the middle: two halves',
              patch: [{ path: path(shaft, 'halves'), value: true }],
              cost: 2 as const,
            },
          ]),
      {
        text: `A tube of ${diameterMm} mm`,
        patch: [
          { path: path(shaft, 'diameterMm'), value: diameterMm },
          { path: path(shaft, 'boreMm'), value: diameterMm - 2 },
        ],
        cost: 2,
      },
    ];
  },
};

export const shaftChecks: readonly CheckDefinition[] = [strength, whirl];

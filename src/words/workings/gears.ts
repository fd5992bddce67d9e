import type { StageKind } from '@/core/car/stages/stage';
import { TORQUE_BY } from '../terms';
import type { Workings } from '../write';

const SHIGLEY = 'Shigley, Mechanical Engineering Design';

type Toothed = Extract<StageKind, 'spur' | 'internal' | 'bevel' | 'planetary' | 'differential'>;

/** How the force on a tooth comes of its torque, where what is left of its stress comes from, and who says so. */
const TOOTH: Readonly<
  Record<Toothed, { force: (module: string, teeth: number) => string; further: string; source: string }>
> = {
  spur: {
    force: (module, teeth) => `2·T/d, d = ${module} · ${teeth}`,
    further: 'for the slant of the helix',
    source: 'ch. 14 (Lewis, Barth)',
  },
  internal: {
    force: (module, teeth) => `2·T/d, d = ${module} · ${teeth}`,
    further: '',
    source: 'ch. 14 (Lewis, Barth)',
  },
  bevel: {
    force: (module, teeth) => `2·T/d in the middle of the face; ${module} · ${teeth} at the large end`,
    further: 'for the taper of the teeth and an uneven face',
    source: 'ch. 15 (K_m), Lewis along the cone',
  },
  differential: {
    force: (module, teeth) =>
      `half the torque of the case over the planets, in the middle of the face; ${module} · ${teeth} at the large end`,
    further: 'for the taper of the teeth and an uneven face',
    source: 'ch. 15 (K_m), Lewis along the cone; planets bent both ways',
  },
  planetary: {
    force: (module, teeth) =>
      `2·T/d over the planets, with what the busiest carries; ${module}, ${teeth} teeth`,
    further: '',
    source: 'ch. 14 (Lewis, Barth); sharing after AGMA 6123',
  },
};
const toothOf = (kind: StageKind) => TOOTH[kind in TOOTH ? (kind as Toothed) : 'spur'];

export const GEAR_WORKINGS: Workings<'gears'> = {
  'gears.mesh': ({ moduleMm, pinion, wheel, backlashMm, centreDistanceMm, contactRatio }, { q }) => [
    {
      label: 'Centre distance',
      formula: `${q(moduleMm, 'fitMm')} · (${pinion} + ${wheel})/2${backlashMm ? `, opened by ${q(backlashMm, 'fitMm')} of backlash along the line of action` : ''}`,
      value: centreDistanceMm,
      quantity: 'fitMm',
      source: 'ISO 21771',
    },
    {
      label: 'Contact ratio',
      formula: 'length of the line of action between the tip circles over the base pitch',
      value: contactRatio,
      quantity: 'coefficient',
      source: `${SHIGLEY}, ch. 13`,
    },
  ],
  'gears.tooth': (facts, { q, n }) => {
    const { candidates, by, torqueNm, teeth, moduleMm, faceWidthMm, strengthMpa, softeningC, temperatureC } =
      facts;
    const { kind, bending } = facts;
    const { tangentialForceN, dynamicFactor, lewisY, bendingStressMpa, allowableMpa } = bending;
    const further = bending.further === 1 ? '' : ` · ${n(bending.further)} ${toothOf(kind).further}`;
    return [
      {
        label: 'Torque at the motor’s shaft',
        formula: Object.entries(candidates)
          .map(([one, nm]) => `${TORQUE_BY[one as keyof typeof TORQUE_BY]} ${q(nm, 'torqueNm')}`)
          .join(', '),
      },
      {
        label: 'Torque on the gear',
        formula: `from ${TORQUE_BY[by]}`,
        value: torqueNm,
        quantity: 'torqueNm',
      },
      {
        label: 'Force at the pitch circle',
        formula: toothOf(kind).force(q(moduleMm, 'fitMm'), teeth),
        value: tangentialForceN,
        quantity: 'forceN',
      },
      {
        label: 'Bending at the root',
        formula: `${q(tangentialForceN, 'forceN')} · ${n(dynamicFactor)}/(${q(faceWidthMm, 'fitMm')} · ${q(moduleMm, 'fitMm')} · ${n(lewisY)})${further}`,
        value: bendingStressMpa,
        quantity: 'stressMpa',
        source: `${SHIGLEY}, ${toothOf(kind).source}`,
      },
      {
        label: 'Allowed',
        formula: `${q(strengthMpa, 'stressMpa')}, straight down to nothing from ${q(23, 'temperatureC')} to ${q(softeningC, 'temperatureC')}, at ${q(temperatureC, 'temperatureC')}`,
        value: allowableMpa,
        quantity: 'stressMpa',
      },
    ];
  },
  'gears.opening': (facts, { q, n }) => [
    {
      label: 'Pushes the shafts apart',
      formula: `${q(facts.torqueNm, 'torqueNm')} along the line of action, its share along the centres`,
      value: facts.forceN,
      quantity: 'forceN',
    },
    {
      label: 'Stiffness of the mount',
      formula: 'as measured, or c·E·w·t³/(12·L³)',
      value: facts.stiffnessNPerMm,
      quantity: 'rateNPerMm',
      source: 'Euler and Bernoulli (beams)',
    },
    {
      label: 'The shafts open by',
      formula: `${q(facts.playMm, 'fitMm')} of play + force over stiffness, solved at the opened centres`,
      value: facts.openingMm,
      quantity: 'fitMm',
    },
    {
      label: 'Pairs in touch',
      formula: `${n(facts.contactRatio)} without load`,
      value: facts.contactRatioOpened,
      quantity: 'coefficient',
      source: 'ISO 21771',
    },
    {
      label: 'Skips at',
      formula: 'where one pair is left',
      value: facts.torqueAtSkipNm,
      quantity: 'torqueNm',
    },
  ],
  'gears.wear': ({ forceN, pitchLineMps, wearMmPerHour, wearMm3PerNm, moduleMm, hours }, { q, n }) => [
    {
      label: 'Mean load',
      formula: `${q(forceN, 'forceN')} at ${q(pitchLineMps, 'speedMps')} at the pitch circle, from the RMS current and the mean speed of the pack`,
    },
    {
      label: 'Wear',
      formula: `${q(wearMmPerHour, 'fitMm')} per hour at ${n(wearMm3PerNm * 1e6)} · 10⁻⁶ mm³/Nm`,
      source: 'VDI 2736-2',
    },
    {
      label: 'Until a fifth of the module is gone',
      formula: `${q(0.2 * moduleMm, 'fitMm')} / ${q(wearMmPerHour, 'fitMm')} per hour`,
      value: hours,
      quantity: 'hours',
    },
  ],
};

export const BELT_WORKINGS: Workings<'belt'> = {
  'belt.teeth': ({ torqueNm, diameterMm, pullN, meshFactor, inMesh, widthMm, limitN }, { q, n }) => [
    {
      label: 'Pull at the pitch circle',
      formula: `2·${q(torqueNm, 'torqueNm')}/${q(diameterMm, 'fitMm')}`,
      value: pullN,
      quantity: 'forceN',
    },
    {
      label: 'Carries',
      formula: `${n(meshFactor)} for ${inMesh} teeth in mesh · limit of the pitch · ${q(widthMm, 'fitMm')} wide, less what its own mass pulls`,
      value: limitN,
      quantity: 'forceN',
      source: 'ISO 5295 (form); typical limits of the pitches, to be edited',
    },
  ],
  'belt.skip': (
    { pretensionN, massTensionN, meshFactor, share, pullN, skipLimitN, frequencyHz, spanMm },
    { q, n },
  ) => [
    {
      label: 'Pull',
      formula: 'at the pitch circle of the driving pulley',
      value: pullN,
      quantity: 'forceN',
    },
    {
      label: 'Climbs at',
      formula: `(${q(pretensionN, 'forceN')} − ${q(massTensionN, 'forceN')})·${n(meshFactor)}/${n(share)}`,
      value: skipLimitN,
      quantity: 'forceN',
      source: 'practice after VDI 2758',
    },
    {
      label: 'A free span sounds at',
      formula: `√(tension/mass of a metre)/(2·${q(spanMm, 'fitMm')})`,
      value: frequencyHz,
      quantity: 'frequencyHz',
      source: 'the string’s equation',
    },
  ],
};

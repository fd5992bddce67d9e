import type { Workings } from '../write';

const GILLESPIE = 'Gillespie, Fundamentals of Vehicle Dynamics';
export const MILLIKEN = 'Milliken, Race Car Vehicle Dynamics';
export const SHIGLEY = 'Shigley, Mechanical Engineering Design';

export const CHASSIS_WORKINGS: Workings<'chassis'> = {
  'chassis.tip': ({ offMm, heightMm, factor, slidesAtMm }, { q }) => [
    {
      label: 'Stability factor',
      formula: `(half the track − ${q(offMm, 'lengthMm')}) / ${q(heightMm, 'lengthMm')}`,
      value: factor,
      quantity: 'coefficient',
      source: `${GILLESPIE}, ch. 9`,
    },
    {
      label: 'Slides rather than rolls under',
      formula: 'half the track over the friction',
      value: slidesAtMm,
      quantity: 'lengthMm',
    },
  ],
  'chassis.yaw': ({ topMps, frontN, rearN, margin, damping }) => [
    { label: 'Top speed', formula: 'from the run at full throttle', value: topMps, quantity: 'speedMps' },
    {
      label: 'Cornering stiffness in front, N/rad',
      formula: 'stiffness over load · load · √(1 − share of grip along²)',
      value: frontN,
      quantity: 'coefficient',
      source: `${GILLESPIE}, ch. 6`,
    },
    {
      label: 'Cornering stiffness behind, N/rad',
      formula: 'the same of the rear axle',
      value: rearN,
      quantity: 'coefficient',
    },
    ...(margin === undefined
      ? []
      : [
          {
            label: 'Static margin, over the wheelbase',
            formula: '(b · C_r − a · C_f − side force of the air) / sum / wheelbase',
            value: margin,
            quantity: 'coefficient' as const,
          },
        ]),
    ...(damping === undefined
      ? []
      : [
          {
            label: 'Damping ratio of a disturbance',
            formula: '−trace / (2 · √det) of slide and yaw',
            value: damping,
            quantity: 'coefficient' as const,
          },
        ]),
  ],
  'chassis.light': ({ stillN, claM2, topMps, loadN }, { q }) => [
    { label: 'Load at rest', formula: 'weight · share on the axle', value: stillN, quantity: 'forceN' },
    {
      label: 'Load at top speed',
      formula: `${q(stillN, 'forceN')} + ½ · ρ · ${q(claM2, 'areaM2')} · (${q(topMps, 'speedMps')})²`,
      value: loadN,
      quantity: 'forceN',
      source: `${GILLESPIE}, ch. 4`,
    },
  ],
  'chassis.lift': ({ frontLifts, drive, rearLifts, brake }) => [
    {
      label: 'Front lifts at',
      formula: 'g · distance ahead of the rear axle / height',
      value: frontLifts,
      quantity: 'accelMps2',
    },
    {
      label: 'The drive reaches',
      formula: 'the lower of motor and grip on the driven wheels, with the weight that moves back',
      value: drive,
      quantity: 'accelMps2',
      source: `${GILLESPIE}, ch. 2`,
    },
    {
      label: 'Rear lifts at',
      formula: 'g · distance behind the front axle / height',
      value: rearLifts,
      quantity: 'accelMps2',
    },
    {
      label: 'Braking reaches',
      formula: 'friction on the driven wheels, with the weight that moves forward',
      value: brake,
      quantity: 'accelMps2',
      source: `${GILLESPIE}, ch. 3`,
    },
  ],
  'chassis.side': ({ leftShare }) => [
    {
      label: 'Left share',
      formula: '(half the track + y of the centre of gravity) / track',
      value: leftShare,
      quantity: 'share',
    },
  ],
};

export const BRIEF_WORKINGS: Workings<'brief'> = {
  'brief.mass': ({ carG, payloadG }, { q }) => [
    {
      label: 'Mass with payload',
      formula: `${q(carG, 'massG', 4)} + ${q(payloadG, 'massG', 4)}`,
      value: carG + payloadG,
      quantity: 'massG',
    },
  ],
  'brief.charge.meanPower': (
    { capacityMah, cells, cellV, usableShare, energyWh, meanW, auxiliaryA, powerW, minutes },
    { q },
  ) => [
    {
      label: 'Energy that is driven',
      formula: `${q(usableShare, 'share')} · ${q(capacityMah, 'capacityMah')} · ${cells} · ${q(cellV, 'voltageV')}`,
      value: energyWh,
      quantity: 'energyWh',
    },
    {
      label: 'Mean power',
      formula: `resistance · speed / (driveline · motor efficiency) at the mean speed: ${q(meanW, 'powerW')}; and ${q(auxiliaryA, 'currentA')} beside`,
      value: powerW,
      quantity: 'powerW',
      source: `${GILLESPIE}, ch. 2`,
    },
    {
      label: 'Minutes',
      formula: `60 · ${q(energyWh, 'energyWh')} / ${q(powerW, 'powerW')}`,
      value: minutes,
      quantity: 'minutes',
    },
  ],
};

export const ENDS_HELD = { simple: 'resting at both ends', fixed: 'held at both ends' } as const;

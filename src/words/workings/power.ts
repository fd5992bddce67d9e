import { FAILSAFE_WORDS } from '../failsafe';
import { FAILSAFE_PART_NAMES } from '../checks/power';
import { listed } from '../lists';
import { CHARGE_TERMS } from '../terms';
import type { Workings } from '../write';

const GILLESPIE = 'Gillespie, Fundamentals of Vehicle Dynamics';

export const POWER_WORKINGS: Workings<'power'> = {
  'power.volts': ({ cells, cellV, chargedV }, { q }) => [
    {
      label: 'Charged',
      formula: `${cells} · ${q(cellV, 'voltageV')}`,
      value: chargedV,
      quantity: 'voltageV',
    },
  ],
  'power.controller': (
    { rmsA, meanA, minutes, motors, continuousA, peakA, ratedPeakA, limits },
    { q, n },
  ) => [
    {
      label: 'RMS motor current',
      formula: `√(∫I²·dt / t) over ${q(minutes, 'minutes')}, mean ${q(meanA, 'currentA')}`,
      value: rmsA,
      quantity: 'currentA',
      source: 'DC-motor equations',
    },
    {
      label: 'Per controller',
      formula: `${n(motors)} · ${q(rmsA, 'currentA')}, limit ${q(continuousA, 'currentA')} continuous`,
      value: motors * rmsA,
      quantity: 'currentA',
    },
    {
      label: 'Peak per controller',
      formula: limits
        ? `it limits at ${q(ratedPeakA, 'currentA')}`
        : `it does not limit; rated for ${q(ratedPeakA, 'currentA')}`,
      value: peakA,
      quantity: 'currentA',
    },
  ],
  'power.pack': ({ capacityMah, maxDischargeC, ratedA, motorA, peakA, withSupply }, { q }) => [
    {
      label: 'Rated',
      formula: `${q(capacityMah, 'capacityMah')} · ${q(maxDischargeC, 'rating')}`,
      value: ratedA,
      quantity: 'currentA',
    },
    {
      label: 'Peak',
      formula: `largest battery current of the run, duty · motor current${withSupply ? `, ${q(motorA, 'currentA')}, and the supply tree at its peak` : ''}`,
      value: peakA,
      quantity: 'currentA',
    },
  ],
  'power.sag': ({ peakA, cells, cellV }, { q }) => [
    {
      label: 'Loaded cell',
      formula: `(open-circuit volts − ${q(peakA, 'currentA')} · pack resistance) / ${cells}`,
      value: cellV,
      quantity: 'voltageV',
    },
  ],
  'power.rail': (charges, { q }) =>
    charges.map(({ charge, inV, outV, typicalA, peakA, heatW }) => ({
      label: `Pack ${CHARGE_TERMS[charge]}`,
      formula: `${q(inV, 'voltageV')} in, ${q(outV, 'voltageV')} out, ${q(typicalA, 'currentA')} typical, ${q(peakA, 'currentA')} peak${heatW > 0 ? `, ${q(heatW, 'powerW')} to heat` : ''}`,
      value: outV,
      quantity: 'voltageV' as const,
    })),
  'power.load': ({ minV, maxV, fullV, lowV }, { q }) =>
    (
      [
        ['full', fullV],
        ['low', lowV],
      ] as const
    ).map(([charge, volts]) => ({
      label: `Pack ${CHARGE_TERMS[charge]}`,
      formula: `${q(minV, 'voltageV')} to ${q(maxV, 'voltageV')} needed`,
      value: volts,
      quantity: 'voltageV' as const,
    })),
  'power.servo': ({ input, neededNm, availableNm }, { q, n }) => {
    const { wheelLoadN, mu, contactWidthMm, scrubRadiusMm, liftNmm = 0, servo } = input;
    const { linkageRatio = 1, linkageEfficiency = 0.8 } = input;
    return [
      {
        label: 'At the kingpins',
        formula: `${n(mu!)} · 2 · ${q(wheelLoadN![0], 'forceN')} · √((${q(contactWidthMm!, 'lengthMm')})²/8 + (${q(scrubRadiusMm!, 'lengthMm')})²)`,
        value: neededNm * linkageRatio * linkageEfficiency - liftNmm / 1000,
        quantity: 'torqueNm',
        source: `${GILLESPIE}, ch. 8`,
      },
      ...(liftNmm > 0
        ? [
            {
              label: 'Lifting the car at full lock',
              formula: 'weight on the wheels times how fast the contact points sink, from the hard points',
              value: liftNmm / 1000,
              quantity: 'torqueNm' as const,
            },
          ]
        : []),
      {
        label: 'At the servo',
        formula: `over ${n(linkageRatio)} · ${n(linkageEfficiency)} of the linkage`,
        value: neededNm,
        quantity: 'torqueNm',
      },
      {
        label: 'Available',
        formula: `between the points of the data sheet, at ${q(servo.volts, 'voltageV')}`,
        value: availableNm,
        quantity: 'torqueNm',
      },
    ];
  },
  'power.radio': ({ needed, fewest, gyro, rangeM, awayM }, { q }) => [
    {
      label: 'Channels',
      formula: `throttle, steering${gyro ? ', gyro gain' : ''} of ${fewest}`,
      value: needed,
      quantity: 'count',
    },
    {
      label: 'Range',
      formula: `half of ${q(rangeM, 'distanceM')} of the data sheet, for ground, bodies and a low antenna, against ${q(awayM, 'distanceM')}`,
      value: rangeM / 2,
      quantity: 'distanceM',
    },
  ],
  'power.failsafe': (ticks) =>
    ticks.map(({ item, at, undoneBy }) => ({
      label: FAILSAFE_WORDS[item].what,
      formula: `tried ${at.slice(0, 10)}${undoneBy.length > 0 ? `, undone by a change of ${listed(undoneBy.map((part) => FAILSAFE_PART_NAMES[part]))}` : ''}`,
    })),
  'power.wiring': (wires, { q }) =>
    wires.map(({ from, to, typicalA, peakA, wantedMm2 }) => ({
      label: `${from} to ${to}`,
      formula: `${q(typicalA, 'currentA')} typical, ${q(peakA, 'currentA')} peak`,
      value: wantedMm2,
      quantity: 'areaMm2' as const,
      source: '12 A/mm² continuous, 30 A/mm² for seconds',
    })),
};

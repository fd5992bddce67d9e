import { HOLD_NAMES, SPIN_ENDS_WORDS } from '../labels/tyres';
import { inSentence } from '@/core/base/units/words';
import { PINION_HELD_BY, TORQUE_BY } from '../terms';
import type { Workings } from '../write';
import { workingHeat } from './heat';
import { workingLaunch, workingResistance, workingTopSpeed } from './motion';

const SHIGLEY = 'Shigley, Mechanical Engineering Design';

export const DRIVE_WORKINGS: Workings<'drive'> = {
  'drive.launch': workingLaunch,
  'drive.topSpeed': workingTopSpeed,
  'drive.resistance': workingResistance,
  'drive.heat': workingHeat,
  'drive.controllerHeat': ({ controller, meanW, meanMps, ambientC, peakC }, { q, n }) => [
    {
      label: 'Heat in one controller',
      formula: 'I²·R of its switches, and (1 − duty)·I·V of its diodes, the mean of what is driven',
      value: meanW,
      quantity: 'powerW',
      source: 'Mohan, Power Electronics, ch. 7',
    },
    {
      label: 'Hottest, from the air on',
      formula: `${q(ambientC, 'temperatureC')}; ${n(controller.toAmbientKPerW)} K/W standing, cooled ${n(1 + controller.coolingPerMps * meanMps)} times at ${q(meanMps, 'speedMps')}, ${n(controller.heatCapacityJPerK)} J/K`,
      value: peakC,
      quantity: 'temperatureC',
      source: 'Incropera, Fundamentals of Heat and Mass Transfer, ch. 3, 5 and 9',
    },
  ],
  'drive.hold': ({ currentA, resistanceMilliOhm, thermal, afterS, safeCurrentA }, { q, n }) => [
    {
      label: 'Heat in the winding, cold',
      formula: `I²·R = (${q(currentA, 'currentA')})² · ${q(resistanceMilliOhm, 'resistanceMilliOhm')}`,
      value: (currentA ** 2 * resistanceMilliOhm) / 1000,
      quantity: 'powerW',
    },
    ...(afterS === undefined
      ? []
      : [
          {
            label: 'Until winding or case is at its limit',
            formula: `${n(thermal.windingHeatCapacityJPerK)} J/K of winding, ${n(thermal.windingToCaseKPerW)} K/W to ${n(thermal.caseHeatCapacityJPerK)} J/K of case, from ${q(thermal.ambientC, 'temperatureC')}; the resistance grows as it warms`,
            value: afterS,
            quantity: 'timeS' as const,
            source: 'Incropera, Fundamentals of Heat and Mass Transfer, ch. 5',
          },
        ]),
    {
      label: 'May be held for ever',
      formula:
        '√(P/R), P what the case gives off at the limit. A brushless motor that stands heats two of its three phases: half as much again',
      value: safeCurrentA,
      quantity: 'currentA',
    },
  ],
  'drive.brake': ({ fromMps, atShare }, { q }) => [
    {
      label: 'Share of the brake at which the first axle locks',
      formula: `its part of the braking = μ · (its load ± h/L · (braking + resistance)), at ${q(fromMps, 'speedMps')}`,
      value: atShare,
      quantity: 'share',
      source: 'Gillespie, Fundamentals of Vehicle Dynamics, ch. 3',
    },
  ],
  'drive.place': ({ row, stretchM, usableM }, { q }) => [
    {
      label: 'Run-up',
      formula: `∫v·dv/a to ${q(row.speedMps, 'speedMps')}, ${q(row.share, 'share')} of the speed that is meant`,
      value: row.runUpM,
      quantity: 'distanceM',
    },
    {
      label: 'Stop',
      formula: `the driver’s answer, then the brake to a standstill in ${q(row.stopS!, 'timeS')}`,
      value: row.stopM,
      quantity: 'distanceM',
      source: 'Gillespie, Fundamentals of Vehicle Dynamics, ch. 3',
    },
    {
      label: 'Needed',
      formula: `run-up + ${q(stretchM, 'distanceM')} measured + stop, in ${q(usableM, 'distanceM')} between the margins`,
      value: row.neededM,
      quantity: 'distanceM',
    },
  ],
  'drive.rotation': (paths, { n }) =>
    paths.map(({ axle, rolls, stages, ratio }) => ({
      label: `${axle} axle, rolls ${rolls}`,
      formula: stages
        .map(({ kind, pinionTeeth, wheelTeeth, ratio: plain }) =>
          pinionTeeth && wheelTeeth
            ? `${kind} ${wheelTeeth}/${pinionTeeth}`
            : plain === undefined
              ? kind
              : `${kind} ${n(plain)}`,
        )
        .join(' · '),
      value: ratio,
      quantity: 'ratio' as const,
      source: 'Norton, Design of Machinery, ch. 9',
    })),
};

export const JOINT_WORKINGS: Workings<'joint'> = {
  'joint.pinion': ({ by, demandNm, temperatureC, joint, boreMm, carriesNm }, { q }) => [
    {
      label: 'Needed',
      formula: `the largest torque at one motor’s shaft, from ${TORQUE_BY[by]}`,
      value: demandNm,
      quantity: 'torqueNm',
    },
    {
      label: 'Temperature',
      formula: 'peak of the motor’s case over a pack',
      value: temperatureC,
      quantity: 'temperatureC',
    },
    {
      label: 'Carries',
      formula: `${PINION_HELD_BY[joint]} on a shaft of ${q(boreMm, 'fitMm')}`,
      value: carriesNm,
      quantity: 'torqueNm',
      source: `${SHIGLEY}, ch. 3-16 and 7`,
    },
  ],
  'joint.wheel': ({ by, demandNm, strengthMpa, acrossFlatsMm, lengthMm, carriesNm }, { q }) => [
    { label: 'Needed', formula: `one wheel, from ${TORQUE_BY[by]}`, value: demandNm, quantity: 'torqueNm' },
    {
      label: 'Carries',
      formula: `${q(strengthMpa, 'stressMpa')} · (${q(acrossFlatsMm, 'fitMm')})² · ${q(lengthMm, 'fitMm')} / 6, less by heat`,
      value: carriesNm,
      quantity: 'torqueNm',
      source: 'triangular pressure on six flats, by equilibrium',
    },
  ],
};

export const SHAFT_WORKINGS: Workings<'shaft'> = {
  'shaft.strength': (facts, { q }) => {
    const { forceN, overhangMm, torqueNm, bendingMpa, shearMpa, vonMisesMpa, strengthMpa } = facts;
    return [
      {
        label: 'Bending',
        formula: `32·M/(π·d³), M = ${q(forceN, 'forceN')} · ${q(overhangMm, 'lengthMm')}`,
        value: bendingMpa,
        quantity: 'stressMpa',
      },
      {
        label: 'Torsion',
        formula: `16·T/(π·d³), T = ${q(torqueNm, 'torqueNm')}`,
        value: shearMpa,
        quantity: 'stressMpa',
      },
      {
        label: 'Together',
        formula: `√(σ² + 3·τ²), limit ${q(strengthMpa, 'stressMpa')}`,
        value: vonMisesMpa,
        quantity: 'stressMpa',
        source: `${SHIGLEY}, ch. 7`,
      },
    ];
  },
  'shaft.whirl': ({ diameterMm, boreMm, spanMm, material, whirlRpm, maxRpm }, { q }) => [
    {
      label: 'Whirl',
      formula: `60·(π/2)·√(E·I/(μ·L⁴)), ${q(diameterMm, 'fitMm')}${boreMm ? ` bored ${q(boreMm, 'fitMm')}` : ''} over ${q(spanMm, 'lengthMm')} in ${inSentence(material)}`,
      value: whirlRpm,
      quantity: 'rpm',
      source: `${SHIGLEY}, ch. 7 (Rayleigh)`,
    },
    {
      label: 'Fastest',
      formula: 'no-load speed of the motor over the stages before it',
      value: maxRpm,
      quantity: 'rpm',
    },
  ],
};

export const TYRE_WORKINGS: Workings<'tyre'> = {
  'tyre.burst': ({ use, rpm, growthPct, by, limitRpm, kind, hold, proven, margin }) => [
    {
      label: use === 'bench' ? 'Wheel in the air' : 'Wheel at top speed',
      formula:
        use === 'bench'
          ? 'no-load speed of the motor over the ratio'
          : 'top speed over the radius that the tyre has at it',
      value: rpm,
      quantity: 'rpm',
    },
    ...(growthPct === undefined
      ? []
      : [
          {
            label: 'Growth',
            formula: `${kind} on its rim, held by ${HOLD_NAMES[hold]}`,
            value: growthPct,
            quantity: 'percent' as const,
            source: 'Timoshenko and Goodier, Theory of Elasticity (rotating discs)',
          },
        ]),
    {
      label: proven ? 'Proven on the bench' : 'Limit',
      formula: proven
        ? `held at it${use === 'road' ? ', times the square root of 0.7: what a road leaves' : ''}`
        : `${SPIN_ENDS_WORDS[by]}${use === 'road' ? '; strengths times 0.7: what a road leaves' : ''}`,
      value: limitRpm,
      quantity: 'rpm',
    },
    {
      label: 'Margin',
      formula: 'square of limit over turns, as the pull goes',
      value: margin,
      quantity: 'coefficient',
    },
  ],
};

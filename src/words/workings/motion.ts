import { GRAVITY } from '@/core/base/constants';
import type { LaunchFacts } from '@/core/physics/motion/launchFacts';
import type { ResistanceFacts, TopSpeedFacts } from '@/core/physics/motion/topSpeedFacts';
import type { Writer } from '../write';
import type { WorkingStep } from '../workingStep';
import { drivenWheels } from './demand';

const DRIVES = 'DC-motor equations';
const GILLESPIE = 'Gillespie, Fundamentals of Vehicle Dynamics, ch. 2';

/** How the resistance at a speed comes about. */
export function workingResistance(
  { speedMps, airDensityKgM3, cdaM2, rollingResistance, massKg, downN, dragN, rollingN }: ResistanceFacts,
  { q, n }: Writer,
): WorkingStep[] {
  return [
    {
      label: 'Drag',
      formula: `½ · ${q(airDensityKgM3, 'densityKgM3')} · ${q(cdaM2, 'areaM2')} · (${q(speedMps, 'speedMps')})²`,
      value: dragN,
      quantity: 'forceN',
      source: GILLESPIE,
    },
    {
      label: 'Rolling',
      formula: `${n(rollingResistance)} · (${q(massKg * 1000, 'massG')} · ${q(GRAVITY, 'accelMps2')}${downN === 0 ? '' : ` + ${q(downN, 'forceN')}`})`,
      value: rollingN,
      quantity: 'forceN',
      source: GILLESPIE,
    },
    {
      label: 'Resistance',
      formula: `${q(dragN, 'forceN')} + ${q(rollingN, 'forceN')}`,
      value: dragN + rollingN,
      quantity: 'forceN',
    },
  ];
}

/** How the top speed comes about: no-load speed, then where drive and resistance meet. */
export function workingTopSpeed(facts: TopSpeedFacts, write: Writer): WorkingStep[] {
  const { cells, cellV, openV, kvRpmPerV, radiusMm, ratio, noLoadSpeedMps, top } = facts;
  const { q, n } = write;
  return [
    {
      label: 'Pack at rest',
      formula: `${cells} · ${q(cellV, 'voltageV')}`,
      value: openV,
      quantity: 'voltageV',
      source: 'open-circuit table of a lithium polymer cell',
    },
    {
      label: 'No-load speed',
      formula: `${q(openV, 'voltageV')} · ${q(kvRpmPerV, 'motorConstant')} · 2π/60 · ${q(radiusMm, 'lengthMm')} / ${n(ratio, 4)}`,
      value: noLoadSpeedMps,
      quantity: 'speedMps',
      source: DRIVES,
    },
    ...(top
      ? [
          ...workingResistance(top, write),
          {
            label: 'Wheel force there',
            formula: `n · k_t · (I − I₀) · ratio · η / r at ${q(top.speedMps, 'speedMps')}`,
            value: top.wheelN,
            quantity: 'forceN' as const,
            source: DRIVES,
          },
          {
            label: 'Top speed',
            formula:
              top.limitedBy === 'grip'
                ? 'where resistance meets the grip of the tyres'
                : 'where wheel force meets resistance',
            value: top.speedMps,
            quantity: 'speedMps' as const,
          },
        ]
      : []),
  ];
}

/** What the tyres and the motor can do at rest. */
export function workingLaunch(facts: LaunchFacts, { q, n }: Writer): WorkingStep[] {
  const { kvRpmPerV, torquePerAmpere, motors, noLoadCurrentA, ratio, efficiency, radiusMm } = facts;
  const { mu, drivenAxles, massKg, motorN, tyresN, peakAccelMps2 } = facts;
  return [
    {
      label: 'Torque of an ampere',
      formula: `60 / (2π · ${q(kvRpmPerV, 'motorConstant')}) = ${q(torquePerAmpere, 'torqueNm')}/A`,
      source: DRIVES,
    },
    {
      label: 'Motor at a standstill',
      formula: `${motors} · ${q(torquePerAmpere, 'torqueNm')}/A · (I − ${q(noLoadCurrentA, 'currentA')}) · ${n(ratio, 4)} · ${n(efficiency)} / ${q(radiusMm, 'lengthMm')}`,
      value: motorN,
      quantity: 'forceN',
      source: DRIVES,
    },
    {
      label: 'Tyres at a standstill',
      formula: `friction ${n(mu)}, ${drivenWheels(drivenAxles)} driven, load transfer included`,
      value: tyresN,
      quantity: 'forceN',
      source: GILLESPIE,
    },
    {
      label: 'Peak acceleration',
      formula: `(lower of the two − resistance) / mass of ${q(massKg * 1000, 'massG')}`,
      value: peakAccelMps2,
      quantity: 'accelMps2',
    },
  ];
}

import { GRAVITY } from '@/core/base/constants';
import type { BriefDemandInput, SurfaceDemand } from '@/core/physics/motion/demand';
import type { Writer } from '../write';
import type { WorkingStep } from '../workingStep';

const SOURCE = 'Gillespie, Fundamentals of Vehicle Dynamics, ch. 2';
const USUAL_SHARE = 0.6;

/** How the demand on one surface comes about. */
export function workingDemand(
  input: BriefDemandInput,
  demand: SurfaceDemand,
  { q, n }: Writer,
): WorkingStep[] {
  const surface = input.surfaces.find(({ id }) => id === demand.id)!;
  const v = input.targetMps;
  const drag = 0.6 * input.cdaM2 * v * v;
  const share = input.meanSpeedShare ?? USUAL_SHARE;
  return [
    {
      label: 'Drag',
      formula: `½ · ${q(1.2, 'densityKgM3')} · ${q(input.cdaM2, 'areaM2')} · (${q(v, 'speedMps')})²`,
      value: drag,
      quantity: 'forceN',
      source: SOURCE,
    },
    {
      label: 'Rolling',
      formula: `${n(surface.rollingResistance)} · ${q(input.massKg * 1000, 'massG')} · ${q(GRAVITY, 'accelMps2')}, with downforce`,
      value: demand.resistanceN - drag,
      quantity: 'forceN',
      source: 'starting value of the surface; your own run corrects it',
    },
    {
      label: 'Power at the wheel',
      formula: `${q(demand.resistanceN, 'forceN')} · ${q(v, 'speedMps')}`,
      value: demand.powerAtWheelW,
      quantity: 'powerW',
    },
    {
      label: 'Grip at that speed',
      formula: `friction ${n(surface.mu)}, ${drivenWheels(input.drivenAxles)} driven, load transfer included`,
      value: demand.gripN,
      quantity: 'forceN',
      source: SOURCE,
    },
    {
      label: 'Mean power',
      formula: `resistance · speed at ${q(share, 'share')} of the wish / (${n(input.drivelineEfficiency ?? 0.8)} · ${n(input.motorEfficiency ?? 0.75)})`,
      value: demand.meanPowerW,
      quantity: 'powerW',
    },
    ...(demand.energyWh === undefined
      ? []
      : [
          {
            label: 'Energy',
            formula: `${q(demand.meanPowerW, 'powerW')} · ${q(input.runTimeMinutes!, 'minutes')} / 60`,
            value: demand.energyWh,
            quantity: 'energyWh' as const,
          },
        ]),
    ...(demand.chargeMah === undefined
      ? []
      : [
          {
            label: 'Charge',
            formula: `${q(demand.energyWh!, 'energyWh')} / (${input.cells} · ${q(3.8, 'voltageV')})`,
            value: demand.chargeMah,
            quantity: 'capacityMah' as const,
          },
        ]),
  ];
}

export const drivenWheels = (axles: 'front' | 'rear' | 'all'): string =>
  axles === 'all' ? 'all wheels' : `${axles} wheels`;

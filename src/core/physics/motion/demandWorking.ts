import type { WorkingStep } from '../../base/workingStep';
import { GRAVITY } from '../../base/constants';
import { plain } from '../../base/units/plain';
import type { BriefDemandInput, SurfaceDemand } from './demand';

const SOURCE = 'Gillespie, Fundamentals of Vehicle Dynamics, ch. 2';

/** How the demand on one surface comes about. */
export function workingDemand(input: BriefDemandInput, demand: SurfaceDemand): WorkingStep[] {
  const surface = input.surfaces.find(({ id }) => id === demand.id)!;
  const v = input.targetMps;
  const drag = 0.6 * input.cdaM2 * v * v;
  const share = input.meanSpeedShare ?? 0.6;
  return [
    {
      label: 'Drag',
      formula: `½ · 1.2 kg/m³ · ${plain(input.cdaM2)} m² · (${plain(v)} m/s)²`,
      value: drag,
      quantity: 'forceN',
      source: SOURCE,
    },
    {
      label: 'Rolling',
      formula: `${plain(surface.rollingResistance)} · ${plain(input.massKg)} kg · ${GRAVITY} m/s², with downforce`,
      value: demand.resistanceN - drag,
      quantity: 'forceN',
      source: 'starting value of the surface; your own run corrects it',
    },
    {
      label: 'Power at the wheel',
      formula: `${plain(demand.resistanceN)} N · ${plain(v)} m/s`,
      value: demand.powerAtWheelW,
      quantity: 'powerW',
    },
    {
      label: 'Grip at that speed',
      formula: `friction ${plain(surface.mu)}, ${input.drivenAxles === 'all' ? 'all wheels' : `${input.drivenAxles} wheels`} driven, load transfer included`,
      value: demand.gripN,
      quantity: 'forceN',
      source: SOURCE,
    },
    {
      label: 'Mean power',
      formula: `resistance · speed at ${plain(100 * share)} % of the wish / (${plain(input.drivelineEfficiency ?? 0.8)} · ${plain(input.motorEfficiency ?? 0.75)})`,
      value: demand.meanPowerW,
      quantity: 'powerW',
    },
    ...(demand.energyWh === undefined
      ? []
      : [
          {
            label: 'Energy',
            formula: `${plain(demand.meanPowerW)} W · ${plain(input.runTimeMinutes!)} min / 60`,
            value: demand.energyWh,
            quantity: 'energyWh' as const,
          },
        ]),
    ...(demand.chargeMah === undefined
      ? []
      : [
          {
            label: 'Charge',
            formula: `${plain(demand.energyWh!)} Wh / (${input.cells} · 3.8 V)`,
            value: demand.chargeMah,
            quantity: 'capacityMah' as const,
          },
        ]),
  ];
}

/** Power at the wheel over speed on each surface, up to a speed (m/s). */
export function powerCurves(
  input: BriefDemandInput,
  demandAt: (input: BriefDemandInput) => { surfaces: SurfaceDemand[] },
  toMps: number,
  points = 41,
) {
  const speeds = Array.from({ length: points }, (_, i) => (toMps * Math.max(i, 1e-6)) / (points - 1));
  const rows = speeds.map((targetMps) => demandAt({ ...input, targetMps }).surfaces);
  return input.surfaces.map(({ id }, index) => ({
    id,
    speedMps: speeds,
    powerW: rows.map((row) => row[index]!.powerAtWheelW),
  }));
}

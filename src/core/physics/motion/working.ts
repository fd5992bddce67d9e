import type { WorkingStep } from '../../base/workingStep';
import { GRAVITY, RAD_PER_S_PER_RPM } from '../../base/constants';
import { plain } from '../../base/units/plain';
import { cellVolts } from './cell';
import { createPlant, tractionN, wheelForceN } from './plant';
import type { DriveRunInput } from './definition';
import type { DriveRunResult } from './run';

const DRIVES = 'DC-motor equations';
const GILLESPIE = 'Gillespie, Fundamentals of Vehicle Dynamics, ch. 2';

/** How the resistance at a speed (m/s) comes about. */
export function workingResistance(input: DriveRunInput, speedMps: number): WorkingStep[] {
  const { car } = input;
  const density = input.airDensityKgM3 ?? 1.2;
  const drag = 0.5 * density * car.cdaM2 * speedMps ** 2;
  const lift = (car.claFrontM2 ?? 0) + (car.claRearM2 ?? 0);
  const down = 0.5 * density * lift * speedMps ** 2;
  const roll = car.rollingResistance * Math.max(0, car.massKg * GRAVITY + down);
  return [
    {
      label: 'Drag',
      formula: `½ · ${plain(density)} kg/m³ · ${plain(car.cdaM2)} m² · (${plain(speedMps)} m/s)²`,
      value: drag,
      quantity: 'forceN',
      source: GILLESPIE,
    },
    {
      label: 'Rolling',
      formula: `${plain(car.rollingResistance)} · (${plain(car.massKg)} kg · 9.81 m/s²${down === 0 ? '' : ` + ${plain(down)} N`})`,
      value: roll,
      quantity: 'forceN',
      source: GILLESPIE,
    },
    {
      label: 'Resistance',
      formula: `${plain(drag)} N + ${plain(roll)} N`,
      value: drag + roll,
      quantity: 'forceN',
    },
  ];
}

/** How the top speed comes about: no-load speed, then where drive and resistance meet. */
export function workingTopSpeed(input: DriveRunInput, result: DriveRunResult): WorkingStep[] {
  const { motor, battery, drive, tyre } = input;
  const plant = createPlant(input);
  const openV = plant.openV;
  const steps: WorkingStep[] = [
    {
      label: 'Pack at rest',
      formula: `${battery.cells} · ${plain(cellVolts(battery.stateOfCharge ?? 1))} V`,
      value: openV,
      quantity: 'voltageV',
      source: 'open-circuit table of a lithium polymer cell',
    },
    {
      label: 'No-load speed',
      formula: `${plain(openV)} V · ${plain(motor.kvRpmPerV, 4)} rpm/V · 2π/60 · ${plain(tyre.radiusMm / 1000)} m / ${plain(drive.ratio, 4)}`,
      value: result.noLoadSpeedMps,
      quantity: 'speedMps',
      source: DRIVES,
    },
  ];
  if (result.topSpeedMps === undefined || result.stalled) return steps;
  const top = result.topSpeedMps;
  return [
    ...steps,
    ...workingResistance(input, top),
    {
      label: 'Wheel force there',
      formula: `n · k_t · (I − I₀) · ratio · η / r at ${plain(top)} m/s`,
      value: wheelForceN(plant, top),
      quantity: 'forceN',
      source: DRIVES,
    },
    {
      label: 'Top speed',
      formula:
        result.topSpeedLimitedBy === 'grip'
          ? 'where resistance meets the grip of the tyres'
          : 'where wheel force meets resistance',
      value: top,
      quantity: 'speedMps',
    },
  ];
}

/** What the tyres and the motor can do at rest. */
export function workingLaunch(input: DriveRunInput, result: DriveRunResult): WorkingStep[] {
  const { car, tyre, motor, drive } = input;
  const plant = createPlant(input);
  const torque = 1 / (motor.kvRpmPerV * RAD_PER_S_PER_RPM);
  return [
    {
      label: 'Torque of an ampere',
      formula: `60 / (2π · ${plain(motor.kvRpmPerV, 4)} rpm/V) = ${plain(torque)} Nm/A`,
      source: DRIVES,
    },
    {
      label: 'Motor at a standstill',
      formula: `${motor.count ?? 1} · ${plain(torque)} Nm/A · (I − ${plain(motor.noLoadCurrentA)} A) · ${plain(drive.ratio, 4)} · ${plain(drive.efficiency)} / ${plain(tyre.radiusMm / 1000)} m`,
      value: wheelForceN(plant, 0),
      quantity: 'forceN',
      source: DRIVES,
    },
    {
      label: 'Tyres at a standstill',
      formula: `friction ${plain(tyre.mu)}, ${car.drivenAxles === 'all' ? 'all wheels' : `${car.drivenAxles} wheels`} driven, load transfer included`,
      value: tractionN(plant, 0),
      quantity: 'forceN',
      source: GILLESPIE,
    },
    {
      label: 'Peak acceleration',
      formula: `(lower of the two − resistance) / mass of ${plain(car.massKg)} kg`,
      value: result.peakAccelMps2,
      quantity: 'accelMps2',
    },
  ];
}

import type { DriveRunInput } from '../motion/definition';
import type { CycleMeans } from './cycleMeans';
import { traceOf } from './endurance';
import type { EnduranceInput } from './enduranceDefinition';
import type { LossesDefinition } from './losses';
import { COPPER_REFERENCE_C, type ThermalDefinition } from './thermal';
import { driveTrace } from './traceWhole';

/** Masses so large that nothing warms while a pass is driven. */
const COLD: ThermalDefinition = {
  windingHeatCapacityJPerK: 1e12,
  caseHeatCapacityJPerK: 1e12,
  windingToCaseKPerW: 1,
  caseToAmbientKPerW: 1,
  ambientC: COPPER_REFERENCE_C,
};
/** A pack that a pass does not empty. */
const ENDLESS = 1e6;

/**
 * Means of one pass through a trace or a style, with the winding at 20 °C and the pack at the volts of its charge.
 *
 * @param packV volts of the pack that its mean current is told for
 * @returns undefined for a car that cannot move
 */
export function traceMeans(
  input: DriveRunInput,
  cycle: EnduranceInput['cycle'],
  losses: LossesDefinition | undefined,
  packV: number,
): CycleMeans | undefined {
  const { battery, motor } = input;
  const trace = traceOf({ ...input, thermal: COLD, cycle, losses })!;
  if (trace.speedMps.every((speed) => speed === 0)) return undefined;
  const untilS = trace.tS.at(-1)!;
  const pass = driveTrace({
    input: {
      ...input,
      battery: { ...battery, capacityMah: battery.capacityMah * ENDLESS },
    },
    thermal: COLD,
    trace,
    losses,
    cutoffVPerCell: 0,
    untilS,
    stepScale: 1,
    ignoreEnds: true,
  });
  const motors = motor.count ?? 1;
  const perMotor = (joules: number) => joules / motors / pass.durationS;
  return {
    currentSquared: pass.windingJ / pass.durationS / (motor.resistanceMilliOhm / 1000),
    frictionW: perMotor(pass.lossesJ.noLoad),
    speedMps: pass.distanceM / pass.durationS,
    batteryA: pass.energyJ / pass.durationS / packV,
  };
}

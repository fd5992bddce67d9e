import type { CycleDefinition } from '../motion/cruise';
import type { DriveRunInput } from '../motion/definition';
import type { ThermalDefinition } from './thermal';

export interface EnduranceInput extends DriveRunInput {
  thermal: ThermalDefinition;
  cycle: CycleDefinition;
  /** Loaded volts a cell at which the pack is empty. */
  cutoffVPerCell?: number;
  maxDurationS?: number;
}

/** What ended it. */
export const ENDS = ['winding', 'case', 'battery', 'time', 'stalled'] as const;
export type End = (typeof ENDS)[number];

export interface EnduranceSeries {
  tS: number[];
  windingC: number[];
  caseC: number[];
  stateOfCharge: number[];
  speedMps: number[];
}

export interface EnduranceResult {
  durationS: number;
  endedBy: End;
  peakWindingC: number;
  peakCaseC: number;
  distanceM: number;
  /** Drawn from the cells' open-circuit side. */
  energyWh: number;
  /** Of one motor; left out where it never moved. */
  meanMotorCurrentA?: number;
  /** Root of the mean square, which heats the winding. */
  rmsMotorCurrentA?: number;
  meanBatteryCurrentA?: number;
  chargeUsedMah: number;
  series: EnduranceSeries;
  notes: string[];
}

import type { Finding } from '../../base/finding';
import type { ControllerThermal } from '../cooling/controllerCooling';
import type { CycleDefinition } from '../motion/cruise';
import type { DriveRunInput } from '../motion/definition';
import type { LossesDefinition } from './losses';
import type { LossName } from './lossNames';
import type { ThermalDefinition } from './thermal';
import type { DrivingStyle, TraceSeries } from './trace';

/** How the pack is driven: starts, cruises and rests, a wished speed over time, or a style. */
export type EnduranceCycle = CycleDefinition | { series: TraceSeries } | { style: DrivingStyle };

/** The controllers of a car, each of them alike. */
export interface DrivenController extends ControllerThermal {
  count: number;
  limitC: number;
}

export interface EnduranceInput extends DriveRunInput {
  thermal: ThermalDefinition;
  /** With a trace or a style; left out, its temperature is not followed. */
  controller?: DrivenController;
  cycle: EnduranceCycle;
  /** With a trace or a style; left out, none of the terms. */
  losses?: LossesDefinition;
  /** Loaded volts a cell at which the pack is empty. */
  cutoffVPerCell?: number;
  maxDurationS?: number;
}

/** What ended it. */
export const ENDS = ['winding', 'case', 'controller', 'battery', 'time', 'stalled'] as const;
export type End = (typeof ENDS)[number];

export interface EnduranceSeries {
  tS: number[];
  windingC: number[];
  caseC: number[];
  /** Where a controller is given. */
  controllerC?: number[];
  /** 0 empty to 1 full. */
  stateOfCharge: number[];
  speedMps: number[];
}

export interface EnduranceResult {
  durationS: number;
  endedBy: End;
  peakWindingC: number;
  peakCaseC: number;
  peakControllerC?: number;
  distanceM: number;
  /** Drawn from the cells' open-circuit side. */
  energyWh: number;
  /** Of one motor; left out where it never moved. */
  meanMotorCurrentA?: number;
  /** Root of the mean square, which heats the winding. */
  rmsMotorCurrentA?: number;
  meanBatteryCurrentA?: number;
  chargeUsedMah: number;
  /** Of a trace or a style: distance over duration, m/s. */
  meanSpeedMps?: number;
  /** The trace that was driven. */
  cycleSeries?: TraceSeries;
  /** Where the energy went; their sum and the change of kinetic energy make `energyWh`. */
  lossesWh?: Record<LossName, number>;
  series: EnduranceSeries;
  notes: Finding[];
}

/** An input that drives starts, cruises and rests. */
export type CruiseInput = EnduranceInput & { cycle: CycleDefinition };

export const isCruise = (input: EnduranceInput): input is CruiseInput => 'cruiseMps' in input.cycle;

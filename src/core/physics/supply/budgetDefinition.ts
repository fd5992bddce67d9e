import type { OperationFinding } from '../../base/operationFinding';

export const RAIL_KINDS = ['direct', 'linear', 'buck', 'boost'] as const;
export type RailKind = (typeof RAIL_KINDS)[number];
export const LOAD_KINDS = ['servo', 'controller', 'receiver', 'sensor', 'light', 'other'] as const;
export type LoadKind = (typeof LOAD_KINDS)[number];

/** Id under which rails and loads hang on the pack itself. */
export const BATTERY = 'battery';

export interface BudgetBattery {
  /** In series. */
  cells: number;
  /** Packs side by side. */
  parallel?: number;
  /** Of the whole pack. */
  capacityMah: number;
  cellResistanceMilliOhm?: number;
  maxDischargeC?: number;
  /** V a cell. */
  chargedVPerCell?: number;
  /** V a cell. */
  cutoffVPerCell?: number;
}

export interface Rail {
  id: string;
  from: string;
  kind: RailKind;
  setV?: number;
  dropoutV?: number;
  minInV?: number;
  maxInV?: number;
  continuousA: number;
  peakA?: number;
  /** Share of the power that comes out, 0 to 1. */
  efficiency?: number;
  /** Of what was metered behind it, ohm; no part of the operation's input. */
  lossOhm?: number;
}

export interface Load {
  id: string;
  kind?: LoadKind;
  rail: string;
  minV: number;
  maxV: number;
  typicalA: number;
  peakA: number;
  /** Whether its peak comes with those of the others. */
  peaksTogether?: boolean;
  /** Of what was metered on the way to it, ohm; no part of the operation's input. */
  lossOhm?: number;
}

export interface BudgetInput {
  battery: BudgetBattery;
  motorPeakA?: number;
  rails: readonly Rail[];
  loads: readonly Load[];
}

export interface RailState {
  inV: number;
  outV: number;
  typicalA: number;
  peakA: number;
  /** Typical over continuous. */
  loadPct: number;
}

export interface LoadState {
  /** V. */
  volts: number;
  ok: boolean;
}

export interface BudgetResult {
  rails: { id: string; full: RailState; low: RailState }[];
  loads: { id: string; full: LoadState; low: LoadState }[];
  batteryTypicalA: number;
  batteryPeakA: number;
  dischargeC: number;
  findings: OperationFinding[];
}

import type { Finding } from '../../base/finding';
import type { OperationFinding } from '../../base/operationFinding';

export const COAST_DIRECTIONS = ['out', 'back'] as const;
export type CoastDirection = (typeof COAST_DIRECTIONS)[number];

export interface CoastRun {
  direction?: CoastDirection;
  readings: readonly { tS: number; speedMps: number }[];
}

export interface CoastInput {
  massKg: number;
  /** Of the wheels and what turns with them, at the wheel. */
  rotatingInertiaKgM2?: number;
  tyreRadiusMm?: number;
  airDensityKgM3?: number;
  /** Downforce area, front and rear together. */
  claM2?: number;
  /** Along "out": a tail wind there is positive. */
  windMps?: number;
  /** Positive where "out" climbs. */
  gradePct?: number;
  speedErrorMps?: number;
  runs: readonly CoastRun[];
}

export interface CoastResult {
  cdaM2: number;
  cdaErrorM2: number;
  rollingResistance: number;
  rollingResistanceError: number;
  /** Of the two. */
  correlation: number;
  windMps?: number;
  windErrorMps?: number;
  gradePct?: number;
  gradeErrorPct?: number;
  startMps: number[];
  residualMps: number;
  residuals: number[][];
  degreesOfFreedom: number;
  findings: OperationFinding[];
  notes: Finding[];
}

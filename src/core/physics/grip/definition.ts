import type { Finding } from '../../base/finding';
import type { OperationFinding } from '../../base/operationFinding';
import type { RunsCompareResult } from '../statistics/runsCompare';

/** Wheels that slip; the others roll. */
export const SLIPPING = ['all', 'front', 'rear'] as const;
export type Slipping = (typeof SLIPPING)[number];
export type GripDirection = 'longitudinal' | 'lateral';

export interface GripCar {
  massKg: number;
  wheelbaseMm: number;
  cgHeightMm: number;
  frontLoadShare: number;
  massErrorKg?: number;
  wheelbaseErrorMm?: number;
  cgHeightErrorMm?: number;
  frontLoadShareError?: number;
}

interface Rolling {
  /** Of the free wheels. */
  resistanceN?: number;
  resistanceErrorN?: number;
}

interface Braked extends Rolling {
  id: string;
  speedMps: number;
  speedErrorMps: number;
  locked?: Slipping;
}

export type GripMeasurement =
  | (Rolling & {
      method: 'pull';
      id: string;
      forcesN: readonly number[];
      forceErrorN?: number;
      pullHeightMm: number;
      pullHeightErrorMm?: number;
      direction?: GripDirection;
      locked?: Slipping;
      toward?: 'forward' | 'backward';
    })
  | {
      method: 'tilt';
      id: string;
      anglesDeg: readonly number[];
      angleErrorDeg?: number;
      nose?: 'down' | 'up' | 'across';
      locked?: Slipping;
    }
  | {
      method: 'circle';
      id: string;
      lapTimesS: readonly number[];
      lapTimeErrorS?: number;
      radiusM: number;
      radiusErrorM?: number;
      locked?: Slipping;
    }
  | (Braked & { method: 'brakeLength'; lengthsM: readonly number[]; lengthErrorM?: number })
  | (Braked & { method: 'brakeTime'; timesS: readonly number[]; timeErrorS?: number })
  | (Rolling & {
      method: 'launch';
      id: string;
      timesS: readonly number[];
      timeErrorS?: number;
      fromMps?: number;
      fromErrorMps?: number;
      toMps: number;
      toErrorMps: number;
      driven: Slipping;
    });
export type GripMethod = GripMeasurement['method'];

export interface GripInput {
  car: GripCar;
  measurements: readonly GripMeasurement[];
  compare?: { a: string; b: string };
}

export const CAR_INPUTS = ['massKg', 'wheelbaseMm', 'cgHeightMm', 'frontLoadShare'] as const;
export type BudgetInput =
  | 'scatter'
  | 'instrument'
  | 'pullHeightMm'
  | 'resistanceN'
  | 'radiusM'
  | 'speedMps'
  | 'fromMps'
  | 'toMps'
  | (typeof CAR_INPUTS)[number];

export interface BudgetLine {
  input: BudgetInput;
  contribution: number;
  shareOfVariance: number;
}

export interface MeasuredGrip {
  id: string;
  method: GripMethod;
  direction: GripDirection;
  n: number;
  meanReading: number;
  sdReading?: number;
  mu: number;
  /** Standard uncertainty. */
  u: number;
  u95: number;
  degreesOfFreedom?: number;
  budget: BudgetLine[];
  dominatedBy?: BudgetInput;
}

export interface CombinedGrip {
  mu: number;
  u: number;
  n: number;
  chiSquare?: number;
  p?: number;
  birge?: number;
  consistent?: boolean;
}

export interface GripResult {
  methods: MeasuredGrip[];
  longitudinal?: CombinedGrip;
  lateral?: CombinedGrip;
  comparison?: RunsCompareResult;
  findings: OperationFinding[];
  notes: Finding[];
}

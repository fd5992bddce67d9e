import type { Finding } from '../../../base/finding';
import type { OperationFinding } from '../../../base/operationFinding';
import type { YawInput } from '../yawDefinition';

/** What the gyro read, at even times or at times of its own. */
export interface GyroLog {
  rateDegPerS: readonly number[];
  sampleS?: number;
  tS?: readonly number[];
}
/** With what turned meanwhile. */
export interface TurningLog extends GyroLog {
  motorRpm?: number;
  wheelRpm?: number;
}

export const GYRO_LOGS = ['rest', 'running', 'driving', 'leftTurn'] as const;
export type GyroLogName = (typeof GYRO_LOGS)[number];

export interface GyroLogInput {
  rest: GyroLog;
  running?: TurningLog;
  driving?: TurningLog;
  leftTurn?: GyroLog;
  segmentSamples?: number;
  targetRmsDegPerS?: number;
  fullScaleDegPerS?: number;
  yaw?: YawInput;
}

export const PEAK_SOURCES = ['motor', 'motor2', 'wheel', 'wheel2'] as const;
export type PeakSource = (typeof PEAK_SOURCES)[number];

export interface Peak {
  frequencyHz: number;
  amplitudeDegPerS: number;
  source: PeakSource | 'unknown';
  /** The source turns faster than half the sampling and shows folded down. */
  aliased?: boolean;
}

export interface RestFigures {
  n: number;
  sampleHz: number;
  biasDegPerS: number;
  driftDegPerSPerMinute: number;
  noiseDegPerS: number;
  noiseDegPerRootS: number;
  rmsDegPerS: number;
  peaks: Peak[];
}

export interface TurningFigures {
  n: number;
  sampleHz: number;
  meanDegPerS: number;
  rmsDegPerS: number;
  biasShiftDegPerS?: number;
  peaks: Peak[];
}

export interface Lowpass {
  basedOn: 'running' | 'rest';
  rmsBeforeDegPerS: number;
  cornerHz?: number;
  lowpassS: number;
  delayS: number;
  rmsAfterDegPerS: number;
}

export interface GyroLogResult {
  rest: RestFigures;
  running?: TurningFigures;
  driving?: TurningFigures;
  lowpass: Lowpass;
  criticalGain?: { without?: number; with?: number; lossPct?: number };
  leftTurnDegPerS?: number;
  sign?: 'right' | 'reversed' | 'unclear';
  findings: OperationFinding[];
  notes: Finding[];
}

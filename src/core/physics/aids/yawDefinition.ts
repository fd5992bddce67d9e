import type { Finding } from '../../base/finding';
export interface YawServo {
  /** Of the first order; 0 follows at once, but for its rate. */
  lagS: number;
  rateDegPerS: number;
  /** Steering to either side. */
  maxDeg: number;
}

export interface YawGyro {
  /** Degrees of steering a degree a second of yaw that was not asked for. */
  gain: number;
  deadbandDegPerS?: number;
  maxCorrectionDeg: number;
  sampleS: number;
  lowpassS?: number;
}

export type YawScenario = { kind: 'kick'; yawRateDegPerS: number } | { kind: 'step'; steerDeg: number };

export interface YawInput {
  massKg: number;
  yawInertiaKgM2: number;
  cgToFrontMm: number;
  cgToRearMm: number;
  /** Both tyres of the axle, a radian of slip angle. */
  corneringFrontNPerRad: number;
  /** N/rad, of the whole axle. */
  corneringRearNPerRad: number;
  /** Friction coefficient. */
  mu: number;
  speedMps: number;
  servo: YawServo;
  gyro: YawGyro;
  scenario: YawScenario;
  durationS?: number;
  /** To sweep over. */
  gains?: readonly number[];
}

/** At every 2 ms. */
export interface YawSeries {
  tS: number[];
  yawRateDegPerS: number[];
  steerDeg: number[];
  lateralM: number[];
}

export interface YawVerdict {
  /** Left out where it does not settle within the duration. */
  settleS?: number;
  /** Number of times that it swings past. */
  overshoots: number;
  stable: boolean;
}

export interface YawRow extends YawVerdict {
  /** Degrees of steering for each degree a second. */
  gain: number;
}

export interface YawResult extends YawVerdict {
  series: YawSeries;
  /** Left out where no gain is stable, or where all are. */
  criticalGain?: number;
  sweep: YawRow[];
  advice: Finding[];
}

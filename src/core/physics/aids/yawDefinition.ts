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
  /** It holds the yaw rate that the driver's steering asks for, a slide too, where it else only damps what was not asked for. */
  holds?: {
    /** Asked for with the steering at its stop. */
    fullSteerDegPerS: number;
    /** In which what is left of an error is steered once more. */
    catchUpS: number;
  };
}

export type YawScenario =
  | { kind: 'kick'; yawRateDegPerS: number }
  | { kind: 'step'; steerDeg: number }
  /** As a step, with the rear driven so hard that this share of its grip across is left. */
  | { kind: 'slide'; steerDeg: number; rearGripShare: number };

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
  /** Load of each axle at this speed; that of the weight where not given, N. */
  frontLoadN?: number;
  rearLoadN?: number;
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
  /** Of a slide: how far the nose points into the turn. */
  slideDeg?: number[];
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

/** What a slide came to. */
export interface SlideVerdict {
  /** The yaw rate of the last third lies within a tenth of the one asked for. */
  held: boolean;
  /** At the end. */
  slideDeg: number;
  /** Of the time that the steering stood at its stop or the correction at its limit. */
  lockShare: number;
  /** When the car stood across its path; left out where it never did. */
  roundAtS?: number;
}

export interface YawResult extends YawVerdict {
  slide?: SlideVerdict;
  series: YawSeries;
  /** Left out where no gain is stable, or where all are. */
  criticalGain?: number;
  sweep: YawRow[];
  advice: Finding[];
}

/** A gyro on the steering as it is set. */
export interface YawAid {
  /** Degrees of steering a degree a second. */
  gain?: number;
  deadbandDegPerS?: number;
  maxCorrectionDeg?: number;
  sampleMs?: number;
  lowpassMs?: number;
  servoLagMs?: number;
  /** At the wheels; from the servo's data sheet where not given. */
  servoRateDegPerS?: number;
  /** At the wheels; from the rack's lock where not given. */
  maxSteerDeg?: number;
  /** Day on which a log of a turn by hand proved its direction, ISO 8601. */
  signProvenAt?: string;
  /** It damps what was not asked for, or holds the yaw rate that the steering asks for; damps where not given. */
  mode?: GyroMode;
  /** Asked for with the steering at its stop, of one that holds. */
  fullSteerDegPerS?: number;
  /** In which what is left of an error is steered once more, of one that holds. */
  catchUpMs?: number;
}

export const GYRO_MODES = ['damp', 'hold'] as const;
export type GyroMode = (typeof GYRO_MODES)[number];

/** A throttle held back by wheel slip as it is set; a brake by the same figures. */
export interface SlipAid {
  targetSlipPct?: number;
  gainUsPerPct?: number;
  frameMs?: number;
  releaseUsPerMs?: number;
  magnets?: number;
  falsePulseRate?: number;
  /** Most gain of speed that a car without a free wheel is followed by; from its grip where not given. */
  mostAccelMps2?: number;
}

/** What the tyres do beyond their friction. */
export interface TyreSlip {
  /** Cornering stiffness over load. */
  corneringFrontPerRad?: number;
  corneringRearPerRad?: number;
  slipAtPeakPct?: number;
  /** How fast friction falls beyond its peak. */
  shape?: number;
}

export interface Aids {
  yaw?: YawAid;
  traction?: SlipAid;
  tyre?: TyreSlip;
}

/** To start with, by judgement. */
export const USUAL_YAW_AID = {
  gain: 0.05,
  deadbandDegPerS: 0,
  maxCorrectionDeg: 12,
  sampleMs: 5,
  lowpassMs: 0,
  servoLagMs: 30,
} as const satisfies YawAid;
export const USUAL_HOLD = { fullSteerDegPerS: 180, catchUpMs: 300 } as const satisfies YawAid;
export const USUAL_SLIP_AID = {
  targetSlipPct: 15,
  gainUsPerPct: 12,
  frameMs: 20,
  magnets: 8,
  falsePulseRate: 0,
} as const satisfies SlipAid;

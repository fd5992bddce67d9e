import type { Finding } from '../../base/finding';
import type { DriveRunInput } from '../motion/definition';

export interface SlipTyre {
  radiusMm: number;
  /** Peak friction coefficient. */
  muPeak: number;
  slipAtPeakPct: number;
  /** Over 1, under 2: how fast friction falls beyond its peak. */
  shape?: number;
}

export interface SlipSensor {
  /** A wheel. */
  magnets: number;
  /** True diameter of the free wheel, known to the controller. */
  wheelDiameterFrontMm?: number;
  /** Chance of a false edge before each true one. */
  falsePulseRate?: number;
}

export interface SlipController {
  targetSlipPct: number;
  /** Throttle taken back, µs a per cent of slip over the target. */
  gainUsPerPct: number;
  frameMs?: number;
  /** How fast the throttle comes back; at once where not given. */
  releaseUsPerMs?: number;
  /** Most that the ground lets a car gain or lose, by which it is followed where no wheel runs free, m/s². */
  mostAccelMps2?: number;
}

export interface TractionInput extends Pick<DriveRunInput, 'car' | 'drive' | 'motor' | 'esc' | 'battery'> {
  tyre: SlipTyre;
  sensor: SlipSensor;
  controller: SlipController;
  distanceM: number;
  /** Of the random numbers; the same seed, the same result. */
  seed?: number;
  targets?: readonly number[];
}

/** At every frame. */
export interface SlipSeries {
  tS: number[];
  speedMps: number[];
  wheelMps: number[];
  slipPct: number[];
  throttleUs: number[];
}

export interface TractionRow {
  targetSlipPct: number;
  timeToDistanceS?: number;
  /** From the free wheel's second edge on; left out where there is none. */
  meanSlipPct?: number;
  slipSdPct?: number;
  throttleReversalsPerS: number;
}

export interface TractionResult extends Omit<TractionRow, 'targetSlipPct'> {
  series: SlipSeries;
  rows?: TractionRow[];
  /** Target of the shortest time. */
  best?: number;
  notes: Finding[];
}

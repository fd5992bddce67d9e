import { GRAVITY } from '../../base/constants';
import type { YawInput } from './yawDefinition';

/** What a gyro on the steering does at every sample; angles in rad, rates in rad/s. */
export interface GyroLaw {
  gain: number;
  deadband: number;
  mostCorrection: number;
  maxSteer: number;
  /** Share of the new reading that the filter takes. */
  filter: number;
  wheelbaseM: number;
  mu: number;
  /** Yaw rate asked for at the stop, and share of an error that a sample adds to what is held. */
  holds?: { fullRate: number; share: number };
}

const RAD = Math.PI / 180;

export const clamp = (value: number, most: number) => (value > most ? most : value < -most ? -most : value);

/** Of a first-order filter at a sample. Source: Åström and Wittenmark, Computer-Controlled Systems, ch. 8. */
export const filterShare = (sampleS: number, lowpassS: number | undefined): number =>
  lowpassS ? 1 - Math.exp(-sampleS / lowpassS) : 1;

export function gyroLawOf({ servo, gyro, mu, cgToFrontMm, cgToRearMm }: YawInput, gain = gyro.gain): GyroLaw {
  return {
    gain,
    deadband: (gyro.deadbandDegPerS ?? 0) * RAD,
    mostCorrection: gyro.maxCorrectionDeg * RAD,
    maxSteer: servo.maxDeg * RAD,
    filter: filterShare(gyro.sampleS, gyro.lowpassS),
    wheelbaseM: (cgToFrontMm + cgToRearMm) / 1000,
    mu,
    ...(gyro.holds
      ? {
          holds: {
            fullRate: gyro.holds.fullSteerDegPerS * RAD,
            share: gyro.sampleS / gyro.holds.catchUpS,
          },
        }
      : {}),
  };
}

/** Yaw rate that the driver's steering asks for: of a law that damps, as far as the ground can answer. */
export const wantedRate = (
  { mu, wheelbaseM, holds, maxSteer }: GyroLaw,
  speed: number,
  driver: number,
): number =>
  holds
    ? (clamp(driver, maxSteer) / maxSteer) * holds.fullRate
    : clamp((speed * driver) / wheelbaseM, (mu * GRAVITY) / speed);

/** What a law that holds has steered so far for what was left of the error. */
export interface GyroMemory {
  held: number;
}

/** Steering that is commanded at a filtered yaw rate; a law that holds keeps its part in the memory. */
export function gyroCommand(
  { gain, deadband, mostCorrection, maxSteer, holds }: GyroLaw,
  filtered: number,
  wanted: number,
  driver: number,
  memory: GyroMemory,
): number {
  const error = filtered - wanted;
  const over = Math.abs(error) <= deadband ? 0 : error - Math.sign(error) * deadband;
  if (holds) memory.held = clamp(memory.held - gain * holds.share * over, mostCorrection);
  return clamp(driver + clamp(memory.held - gain * over, mostCorrection), maxSteer);
}

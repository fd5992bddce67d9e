import type { SpinOutcome } from '../../physics/tyres/tyreFit';
import type { KnownTyreKind } from '../../physics/tyres/tyreKinds';
import type { Blow } from '../../physics/bench/blow';
import type { Axle } from '../stages/stage';
import type { TyreHold } from '../tyres/tyres';
import type { LogRoles } from '../../physics/logs/logRead';
import type { FailureMode } from './failureModes';
import { type Wheel, WHEELS } from './wheels';

/** A tyre on the spin bench as it was made and held that day; sessions of one name are one construction. */
export interface SpunTyre {
  name: string;
  /** Whose wheels it would roll on. */
  axle: Axle;
  kind: KnownTyreKind;
  radiusMm: number;
  hold: TyreHold;
}

/** One speed on the spin bench: a diameter, what became of the tyre, or both. */
export interface TyreSpin {
  id: string;
  rpm: number;
  diameterMm?: number;
  outcome?: SpinOutcome;
}

/** Amplitudes of a wheel without a weight and with a trial weight at marked places; any unit. */
export interface MeasuredBalance {
  wheel?: Wheel;
  amplitude?: number;
  errorPct?: number;
  trialMassG?: number;
  trialRadiusMm?: number;
  correctionRadiusMm?: number;
  runs?: { id: string; angleDeg: number; amplitude: number }[];
  /** Wheel with its tyre, and the turns that it was measured at. */
  massG?: number;
  rpm?: number;
  /** Angles at which weights can be stuck on. */
  placesDeg?: number[];
  amplitudeAfter?: number;
}

export const BLOW_WAYS = ['drop', 'swing', 'energy'] as const;
export type BlowWay = (typeof BLOW_WAYS)[number];

/** One blow on a clamped copy. */
export interface ClampedBlow extends Blow {
  id: string;
  /** Printed copy that it hit. */
  copyId?: string;
  /** Permanent bend that it left, mm. */
  bentMm?: number;
}

/** Copies of a part as it is, or of a variant, hit up and down. */
export interface ClampedVariant {
  id: string;
  name: string;
  /** Part of the document that it is. */
  partId?: string;
  blows: ClampedBlow[];
}

export interface MeasuredBlows {
  way?: BlowWay;
  dropMassKg?: number;
  hammerKg?: number;
  armMm?: number;
  /** Of the car's mass that is behind the part. */
  massShare?: number;
  variants?: ClampedVariant[];
}

/** A log of a controller, gyro or recorder as the workshop keeps it, with what was corrected of its columns. */
export interface KeptLog {
  hash: string;
  name: string;
  rows: number;
  durationS: number;
  roles?: LogRoles;
  /** What its turns are divided by to be the motor's. */
  polePairs?: number;
}

/** A part that a crash damaged: by itself, or as what came of another. */
export interface DamagedPart {
  partId: string;
  name: string;
  mode: FailureMode;
  came: 'first' | 'after';
  copyId?: string;
}

export const CRASH_SIDES = ['nose', 'tail', 'left', 'right', 'roof', ...WHEELS] as const;
export type CrashSide = (typeof CRASH_SIDES)[number];

export interface MeasuredCrash {
  side?: CrashSide;
  damaged?: DamagedPart[];
  /** The pack took the blow. */
  packHit?: boolean;
}

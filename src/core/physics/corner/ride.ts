import { GRAVITY } from '../../base/constants';
import { type Finding, finding } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.ride.onBumpStop': Record<never, never>;
    'note.ride.onDroopStop': Record<never, never>;
  }
}

export interface RideInput {
  cornerSprungMassG: number;
  springRateNPerMm: number;
  /** Damper travel over wheel travel. */
  motionRatio: number;
  /** From full droop to the bump stop. */
  wheelTravelMm: number;
  /** Compression of the spring at full droop. */
  preloadMm?: number;
  damperNsPerM?: number;
  dropHeightM?: number;
  /** Share of a landing's energy that the damper takes. */
  damperShare?: number;
  targetSagPct?: number;
}

export interface RideResult {
  wheelRateNPerMm: number;
  sagMm: number;
  sagPct: number;
  bumpLeftMm: number;
  bottomsAtRest: boolean;
  toppedOut: boolean;
  rideHz: number;
  dampingRatio?: number;
  damperForRatio06NsPerM: number;
  maxDropM: number;
  springForTargetSagNPerMm: number;
  springForDropNPerMm?: number;
  notes: Finding[];
}

const USUAL_DAMPER_SHARE = 0.4;
const USUAL_SAG_PCT = 30;
const GOOD_RATIO = 0.6;

/**
 * Sag, frequency, damping and landing of one corner with a linear spring of wheel rate k·MR².
 *
 * @returns lengths in mm (the drop in m), rates in N/mm, dampers in N s/m
 * @see Milliken, Race Car Vehicle Dynamics, ch. 16 (ride rates); the landing by energy
 */
export function suspensionRide(input: RideInput): RideResult {
  const {
    cornerSprungMassG,
    springRateNPerMm,
    motionRatio: ratio,
    wheelTravelMm: travel,
    preloadMm = 0,
    damperNsPerM,
    dropHeightM,
    damperShare = USUAL_DAMPER_SHARE,
    targetSagPct = USUAL_SAG_PCT,
  } = input;
  const massKg = cornerSprungMassG / 1000;
  const weightN = massKg * GRAVITY;
  const wheelRate = springRateNPerMm * ratio ** 2;
  const preloadN = springRateNPerMm * preloadMm * ratio;
  const sag = Math.max(0, (weightN - preloadN) / wheelRate);
  const natural = Math.sqrt((wheelRate * 1000) / massKg);
  const critical = 2 * Math.sqrt(wheelRate * 1000 * massKg);
  const taken = preloadN * travel + 0.5 * wheelRate * travel ** 2;
  const targetMm = (targetSagPct / 100) * travel;
  return {
    wheelRateNPerMm: wheelRate,
    sagMm: sag,
    sagPct: (100 * sag) / travel,
    bumpLeftMm: travel - sag,
    bottomsAtRest: sag >= travel,
    toppedOut: preloadN >= weightN,
    rideHz: natural / (2 * Math.PI),
    ...(damperNsPerM === undefined ? {} : { dampingRatio: (damperNsPerM * ratio ** 2) / critical }),
    damperForRatio06NsPerM: (GOOD_RATIO * critical) / ratio ** 2,
    maxDropM: Math.max(0, taken / ((1 - damperShare) * weightN) - travel) / 1000,
    springForTargetSagNPerMm: weightN / (ratio ** 2 * targetMm + preloadMm * ratio),
    ...(dropHeightM === undefined
      ? {}
      : {
          springForDropNPerMm:
            ((1 - damperShare) * weightN * (1000 * dropHeightM + travel)) /
            (preloadMm * ratio * travel + 0.5 * ratio ** 2 * travel ** 2),
        }),
    notes:
      sag >= travel
        ? [finding('note.ride.onBumpStop', {})]
        : preloadN >= weightN
          ? [finding('note.ride.onDroopStop', {})]
          : [],
  };
}

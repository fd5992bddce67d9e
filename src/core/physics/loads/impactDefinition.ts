import type { Finding } from '../../base/finding';
import type { OperationFinding } from '../../base/operationFinding';

/** Damper's stroke over wheel travel, linear between points and held beyond them. */
export interface MotionRatioTable {
  /** From full droop, ascending, mm. */
  travelMm: readonly number[];
  ratio: readonly number[];
}

export interface ImpactTyre {
  rateNPerMm: number;
  dampingNsPerM?: number;
  /** Squash at which the rim is reached, mm; none where not given. */
  rimAtMm?: number;
  /** Rate from there on, N/mm; at least the tyre's own. */
  rimNPerMm?: number;
}

export interface BumpStop {
  rateNPerMm?: number;
  /** Of the soft part, mm of the damper's shaft. */
  crushMm?: number;
  /** Added beyond it, N/mm. */
  solidNPerMm?: number;
}

/** Spring, damper and stop on the damper's shaft. */
export interface ImpactSuspension {
  springNPerMm: number;
  /** Compression of the spring at full droop, mm. */
  preloadMm?: number;
  motionRatio: number | MotionRatioTable;
  /** From full droop to the bump stop, mm. */
  wheelTravelMm: number;
  damperNsPerM?: number;
  reboundNsPerM?: number;
  /** What the damper adds with the square of its speed, N s²/m². */
  packNs2PerM2?: number;
  bumpStop?: BumpStop;
}

/** What a free body shows where it is struck beside its centre of gravity. */
export interface ImpactInertia {
  /** Distance of the centre of gravity from the axle that lands, mm. */
  aheadMm: number;
  pitchKgM2: number;
  besideMm?: number;
  rollKgM2?: number;
}

export const FORCE_AT = ['tyre', 'chassis', 'mount', 'stop'] as const;
export type ForceAt = (typeof FORCE_AT)[number];

export interface ImpactInput {
  /** The tyre's lowest point over flat ground, wheels hanging, m. */
  dropM: number;
  wheels?: 1 | 2 | 4;
  /** The whole car's, g. */
  sprungMassG: number;
  /** Of one corner, g. */
  unsprungMassG: number;
  /** This corner's share; for four wheels alone. */
  loadShare?: number;
  inertia?: ImpactInertia;
  tyre: ImpactTyre;
  suspension?: ImpactSuspension;
  /** A soft mount of the electronics, and its damping ratio. */
  electronics?: { mountHz: number; dampingRatio?: number };
  /** A force whose drop is sought, N, and where it acts. */
  forceN?: number;
  forceAt?: ForceAt;
}

/** With the wheels held to the car. */
export interface RigidImpact {
  peakTyreN: number;
  peakChassisN: number;
  /** Multiples of gravity. */
  peakSprungGees: number;
  tyreDeflectionMm: number;
  /** From touch-down until the car turns, s; left out where it does not within half a second. */
  turnS?: number;
}

export interface ImpactResult extends RigidImpact {
  impactSpeedMps: number;
  massOverWheelG: number;
  /** Forces along the damper's shaft, N. */
  peakSpringN?: number;
  peakDamperN?: number;
  peakSpringDamperN?: number;
  peakStopN?: number;
  /** The damper's eye: spring, damper and stop at once, N. */
  peakMountN?: number;
  travelUsedMm?: number;
  travelUsedPct?: number;
  bottoms?: boolean;
  /** The bump stop is crushed through. */
  solid?: boolean;
  rimHit: boolean;
  /** Of the wheel against the car at the stop, m/s. */
  stopSpeedMps?: number;
  /** Multiples of gravity. */
  peakElectronicsGees: number;
  /** From touch-down, s. */
  peakChassisS: number;
  /** On all wheels that land, N. */
  carN: number;
  rigid: RigidImpact;
  maxDropM?: number;
  dropForForceM?: number;
  findings: OperationFinding[];
  notes: Finding[];
}

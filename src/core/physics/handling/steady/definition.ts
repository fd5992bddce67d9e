import type { Finding } from '../../../base/finding';
import type { OperationFinding } from '../../../base/operationFinding';

export const DRIVEN_AXLES = ['front', 'rear', 'all'] as const;
export const ENDS = ['front', 'rear'] as const;
export type End = (typeof ENDS)[number];

/** One axle as one tyre. */
export interface SteadyTyre {
  /** Cornering stiffness over the load at the reference load, per radian of slip angle. */
  corneringPerRad: number;
  /** Friction across. */
  mu: number;
  /** What the stiffness over the load loses while the load doubles. */
  loadFalloff?: number;
  muFalloff?: number;
  /** The static load of the axle where left out. */
  referenceLoadN?: number;
}

export interface SteadyAir {
  cdaM2?: number;
  claFrontM2?: number;
  claRearM2?: number;
  /** Side force over dynamic pressure for each radian of sideslip. */
  sideForceSlopeM2?: number;
  /** From the front axle, forward. */
  centreOfPressureXMm?: number;
}

export const CHANGE_FIELDS = ['frontTyreFactor', 'rearTyreFactor', 'weightShiftMm', 'rearWingDeg'] as const;
/** One single change; exactly one of its figures is given. */
export type SteadyChange = { id: string } & { [K in (typeof CHANGE_FIELDS)[number]]?: number };

export interface SteadyInput {
  massKg: number;
  yawInertiaKgM2: number;
  wheelbaseMm: number;
  frontLoadShare: number;
  cgHeightMm: number;
  rollingResistance?: number;
  drivenAxles: (typeof DRIVEN_AXLES)[number];
  driveFrontShare?: number;
  /** That of the drive where left out, as the motor brakes. */
  brakeFrontShare?: number;
  tyres: { front: SteadyTyre; rear: SteadyTyre; lateralGripFactor?: number };
  air?: SteadyAir;
  airDensityKgM3?: number;
  speedMps: number;
  accelMps2?: number;
  /** Of the static load, under which an axle is light. */
  lightShare?: number;
  searchMps?: number;
  sweep?: { fromMps: number; toMps: number; stepMps: number };
  rearWing?: { xMm: number; zMm: number; claPerDegM2: number; cdaPerDegM2?: number };
  changes?: readonly SteadyChange[];
}

export type Both = Record<End, number>;
/** The axle that first has no more grip across. */
export type First = End | 'both';

/** How the car turns at one speed; what a car without grip in front has not is left out. */
export interface SteadyTurn {
  /** Yaw rate over the angle of the front wheels. */
  yawGainPerS?: number;
  understeerDegPerMps2?: number;
  understeerDegPerGee?: number;
  characteristicSpeedMps?: number;
  criticalSpeedMps?: number;
}

export interface SteadyBalance extends SteadyTurn {
  staticMargin?: number;
  stable: boolean;
  naturalHz?: number;
  dampingRatio?: number;
  timeConstantS?: number;
  doublingTimeS?: number;
  axleLimitsMps2: Both;
  maxLateralMps2: number;
  letsGoFirst: First;
}

export interface SteadyRow {
  speedMps: number;
  frontLoadN: number;
  rearLoadN: number;
  understeerDegPerMps2?: number;
  characteristicSpeedMps?: number;
  criticalSpeedMps?: number;
  staticMargin?: number;
  dampingRatio?: number;
  timeConstantS?: number;
  stable: boolean;
  maxLateralMps2: number;
  letsGoFirst: First;
}

export interface SteadyEffect {
  id: string;
  understeerDegPerMps2?: number;
  understeerChangeDegPerMps2?: number;
  staticMargin?: number;
  dampingRatio?: number;
  stable: boolean;
  maxLateralMps2: number;
  maxLateralChangeMps2: number;
  letsGoFirst: First;
  lowestUnstableMps?: number;
}

export interface SteadyResult extends SteadyBalance {
  axleLoadsN: Both;
  corneringNPerRad: Both;
  longitudinalN: Both;
  gripUseShare: Both;
  frontLightMps?: number;
  rearLightMps?: number;
  lowestUnstableMps?: number;
  sweep?: SteadyRow[];
  changes: SteadyEffect[];
  findings: OperationFinding[];
  notes: Finding[];
}

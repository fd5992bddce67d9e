import type { HingePinCorner, WishboneCorner } from '../../physics/corner/corner';
import type { Aids } from './aids';

export const ENDS = ['front', 'rear'] as const;
export type End = (typeof ENDS)[number];

type Drawn<T> = Omit<T, 'end' | 'tyreRadiusMm'>;

/**
 * The left corner as it is drawn, mm: x forward from its own axle, y to the left of the middle, z over the ground. The
 * tyre's radius is that of the drive.
 */
export type DrawnCorner = Drawn<WishboneCorner> | Drawn<HingePinCorner>;

/** What has play between the chassis and the rim of a wheel, each the whole of it from stop to stop. */
export interface FreePlay {
  bearingSpacingMm?: number;
  inboardMm?: number;
  outboardMm?: number;
  /** Along the tie rod, both its ends together. */
  tieMm?: number;
  /** Across the upper outer joint. */
  upperMm?: number;
}

export const LINK_KINDS = ['fixed', 'threaded'] as const;

/** What a rod, ball, hinge or mount withstands, by data sheet or own test, or the part of the build that it is. */
export interface LinkHeld {
  /** Name of the member or joint. */
  id: string;
  pullN?: number;
  pushN?: number;
  partId?: string;
}

/** One end of the car: its corner, what springs and damps it, and what plays in it; the other side is its mirror image. */
export interface SuspensionEnd {
  corner?: DrawnCorner;
  /** Travel asked for from rest, up and down. */
  bumpMm?: number;
  droopMm?: number;
  springBy?: 'rate' | 'wire';
  rateNPerMm?: number;
  wireMm?: number;
  meanDiameterMm?: number;
  activeCoils?: number;
  /** Of the spring at full droop. */
  preloadMm?: number;
  damperNsPerM?: number;
  targetSagPct?: number;
  /** Carrier, hub and the outer halves of the arms, of one wheel. */
  unsprungG?: number;
  links?: (typeof LINK_KINDS)[number];
  /** What a turn of a threaded link changes its length by. */
  linkMmPerTurn?: number;
  play?: FreePlay;
  /** Across its arms, links and the damper's body. */
  armMm?: number;
  linkMm?: number;
  damperMm?: number;
  /** The shaft that drives the wheel, across, and its inner joint from the middle of the car. */
  shaftMm?: number;
  shaftInnerMm?: number;
  /** Height of that joint over the ground, where it is not the wheel's. */
  shaftInnerZMm?: number;
  /** What its rods, balls, hinges and mounts withstand. */
  held?: LinkHeld[];
}

export const BENCH_ITEMS = ['loose', 'tight', 'inner', 'outer', 'upper', 'tie', 'damper'] as const;
export type BenchItem = (typeof BENCH_ITEMS)[number];

/** A look at one end that was passed on a day, with a mark of the corner as it was drawn then. */
export interface BenchTick {
  /** End and item, `front-loose`. */
  id: string;
  at: string;
  of: string;
}

export interface SteeringDrive {
  /** To full lock, each way. */
  lockMm?: number;
  /** From the servo's shaft to the ball that moves the rack. */
  hornMm?: number;
  /** At which the servo's saver gives; none where there is none. */
  saverNm?: number;
}

/** What carries the wheels: how far they give way, the corners, the steering and what was looked at on the bench. */
export interface Suspension {
  stopMm?: number;
  kerbStopMm?: number;
  front?: SuspensionEnd;
  rear?: SuspensionEnd;
  steering?: SteeringDrive;
  aids?: Aids;
  bench?: BenchTick[];
}

export const emptySuspension = (): Suspension => ({});

/** To start with, by judgement: travel that is left at rest, and what tyre and arm give lengthwise, mm. */
export const USUAL_STOP_MM = 20;
export const USUAL_KERB_STOP_MM = 10;

import { GRAVITY } from '../../base/constants';
import type { DrivenAxles } from '../motion/road';
import { STOPWATCH_ERROR_S } from './timingSpeed';
import { type Finding, finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.timing.meanAcceleration': Record<never, never>;
    'note.timing.endSpeedBound': Record<never, never>;
    'note.timing.noLoad': Record<never, never>;
    'note.timing.friction': { needed: Measure; limit: Measure };
    'note.timing.noTransfer': { driven: 'front' | 'rear' };
  }
}

/** A standing start over a measured distance. */
export interface TimingLaunchInput {
  distanceM: number;
  timeS: number;
  timeErrorS?: number;
  /** Friction that is thought to be there; 1.3 bounds what is believable where none is given. */
  mu?: number;
  drivenAxles?: DrivenAxles;
  /** Needed for front and rear drive. */
  frontLoadShare?: number;
  cgHeightMm?: number;
  wheelbaseMm?: number;
}

export interface TimingLaunchResult {
  accelMps2: number;
  accelErrorMps2: number;
  endSpeedMps: number;
  meanSpeedMps: number;
  /** Left out where the driven wheels carry no load. */
  muNeeded?: number;
  plausible: boolean;
  notes: Finding[];
}

/** The best that small soft tyres are known to do on clean ground. */
const BEST_MU = 1.3;

/**
 * Mean acceleration from rest and the friction that it takes.
 *
 * @returns acceleration in m/s², speeds in m/s; `plausible` is false only where the grip needed is out of reach within the error
 * @see Gillespie, Fundamentals of Vehicle Dynamics, ch. 2
 */
export function timingLaunch(input: TimingLaunchInput): TimingLaunchResult {
  const { distanceM, timeS } = input;
  const timeError = input.timeErrorS ?? STOPWATCH_ERROR_S;
  const accelMps2 = (2 * distanceM) / timeS ** 2;
  const notes = [finding('note.timing.meanAcceleration', {}), finding('note.timing.endSpeedBound', {})];
  const muNeeded = frictionFor(accelMps2 / GRAVITY, input, notes);
  const limit = input.mu ?? BEST_MU;
  const least = muNeeded === undefined ? Infinity : muNeeded * (1 - (2 * timeError) / timeS);
  const plausible = least <= limit;
  if (muNeeded === undefined) notes.push(finding('note.timing.noLoad', {}));
  else if (!plausible)
    notes.push(
      finding('note.timing.friction', {
        needed: measure(muNeeded, 'coefficient'),
        limit: measure(limit, 'coefficient'),
      }),
    );
  return {
    accelMps2,
    accelErrorMps2: (accelMps2 * 2 * timeError) / timeS,
    endSpeedMps: (2 * distanceM) / timeS,
    meanSpeedMps: distanceM / timeS,
    ...(muNeeded === undefined ? {} : { muNeeded }),
    plausible,
    notes,
  };
}

function frictionFor(gees: number, input: TimingLaunchInput, notes: Finding[]): number | undefined {
  const driven = input.drivenAxles ?? 'all';
  if (driven === 'all') return gees;
  const known = input.cgHeightMm !== undefined && input.wheelbaseMm !== undefined;
  const transfer = known ? (input.cgHeightMm! / input.wheelbaseMm!) * gees : 0;
  if (!known) notes.push(finding('note.timing.noTransfer', { driven }));
  const load = driven === 'rear' ? 1 - input.frontLoadShare! + transfer : input.frontLoadShare! - transfer;
  return load > 0 ? gees / load : undefined;
}

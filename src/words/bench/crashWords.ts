import type { CrashSide } from '@/core/car/records/benchReport';
import type { CarZone } from '@/core/car/parts/carZones';
import type { CrashStanding, CrashStory } from '@/core/worked/bench/crash';
import { listed } from '../lists';
import { WHEEL_WORDS } from './wheelWords';

export const CRASH_SIDE_WORDS: Readonly<Record<CrashSide, string>> = {
  nose: 'nose',
  tail: 'tail',
  left: 'left side',
  right: 'right side',
  roof: 'roof',
  frontLeft: `${WHEEL_WORDS.frontLeft} wheel`,
  frontRight: `${WHEEL_WORDS.frontRight} wheel`,
  rearLeft: `${WHEEL_WORDS.rearLeft} wheel`,
  rearRight: `${WHEEL_WORDS.rearRight} wheel`,
};

/** Zones of a car as they lie on its picture, the nose on top. */
export const CAR_ZONE_WORDS: Readonly<Record<CarZone, string>> = {
  nose: 'Nose and shell',
  corners: 'Wheels, arms and links',
  drive: 'Drive',
  frame: 'Frame',
  electrics: 'Electrics',
};

export const CRASH_STANDING_WORDS: Readonly<Record<CrashStanding, string>> = {
  expected: 'broke, as was to be expected',
  surprising: 'broke, though it should have held: look for a flaw',
  damaged: 'broke; nothing was predicted of it',
  look: 'seems whole, but was loaded near its end: look for cracks',
  whole: 'whole',
};

/** The story of a failure in a crash: what was hit, and what broke before it. */
export const crashStory =
  (hit: string | undefined): CrashStory =>
  ({ came }, first) =>
    [
      hit ? `Hit ${hit}.` : 'In a crash.',
      came === 'first' || first.length === 0 ? 'Broke first.' : `Followed from: ${listed(first)}.`,
    ].join(' ');

import type { DriveRunInput } from './definition';
import { integrateRun } from './integrateRun';
import { ACCEL, createPlant, newMoment, observe } from './plant';
import { topSpeed } from './topSpeed';

export interface Passage {
  /** From rest to the end, s. */
  endS: number;
  /** From rest to the earlier mark, s. */
  markS: number;
  topSpeedMps?: number;
}

const USUAL_MAX_TIME_S = 60;
const HALVINGS = 40;

/**
 * When a run from rest passes a mark and its end: as `driveRun`, without all else that a run tells.
 *
 * @param markM before `input.distanceM`; between two steps the way is the cubic through way and speed at both (Hermite)
 * @returns nothing where the end is not reached
 */
export function passage(input: DriveRunInput, markM: number): Passage | undefined {
  const distanceM = input.distanceM ?? 50;
  const plant = createPlant(input);
  const start = newMoment();
  observe(plant, 0, start);
  if (start[ACCEL]! <= 0) return undefined;
  const top = topSpeed(plant);
  const motion = integrateRun(plant, {
    topMps: top ?? Infinity,
    distanceM,
    maxTimeS: input.maxTimeS ?? USUAL_MAX_TIME_S,
    stalled: false,
    stepScale: 1,
  });
  if (Number.isNaN(motion.timeToDistanceS)) return undefined;
  const { distanceM: way, speedMps: speeds, stepS, lastStepS } = motion;
  const after = way.findIndex((one) => one >= markM);
  const lengthOf = (step: number) => (step === way.length - 1 ? lastStepS : stepS);
  const markS =
    markM <= 0
      ? 0
      : after < 0
        ? motion.timeToDistanceS - (distanceM - markM) / speeds.at(-1)!
        : (after - 1) * stepS +
          within(way[after - 1]!, way[after]!, speeds[after - 1]!, speeds[after]!, lengthOf(after), markM);
  return { endS: motion.timeToDistanceS, markS, ...(top === undefined ? {} : { topSpeedMps: top }) };
}

/** Time after the first of two steps at which the cubic of the way reaches a distance. */
function within(x0: number, x1: number, v0: number, v1: number, h: number, distance: number): number {
  let [low, high] = [0, 1];
  const wayAt = (s: number) =>
    (2 * s ** 3 - 3 * s ** 2 + 1) * x0 +
    (s ** 3 - 2 * s ** 2 + s) * h * v0 +
    (3 * s ** 2 - 2 * s ** 3) * x1 +
    (s ** 3 - s ** 2) * h * v1;
  for (let at = 0; at < HALVINGS; at++) {
    const middle = (low + high) / 2;
    if (wayAt(middle) < distance) low = middle;
    else high = middle;
  }
  return high * h;
}

import type { RunSheet } from './records';

/** How exactly the moment is told in which a pack is empty, share of its minutes; by judgement. */
export const EMPTY_TOLD = 0.02;

/** How far the minutes of a pack that was driven empty lie from what was expected of them. */
export interface PackGap {
  readonly differencePct: number;
  /** Difference over the joint standard deviation. */
  readonly sigmas: number;
}

/** @param measuredShare error of the measured minutes over them */
export function packGap(
  { report }: Pick<RunSheet, 'report'>,
  measuredShare = EMPTY_TOLD,
): PackGap | undefined {
  const { packPredicted, endedBy, endedAtMinutes } = report ?? {};
  if (!packPredicted || endedBy !== 'battery' || !endedAtMinutes) return undefined;
  const { minutes, minutesError } = packPredicted;
  const joint = Math.hypot(minutesError, measuredShare * endedAtMinutes);
  return {
    differencePct: (100 * (endedAtMinutes - minutes)) / minutes,
    sigmas: joint === 0 ? 0 : (endedAtMinutes - minutes) / joint,
  };
}

import { type Finding, finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.timing.nothingToGain': Record<never, never>;
    'note.timing.tape': { error: Measure; distance: Measure };
    'note.timing.frameRate': { fps: Measure; distance: Measure };
    'note.timing.stopWatch': { distance: Measure };
  }
}
/** One passage over a measured distance; exactly one way of timing. */
export interface TimingSpeedInput {
  distanceM: number;
  distanceErrorM?: number;
  timeS?: number;
  /** Number of frames between the two marks. */
  frames?: number;
  /** Frames a second at which the camera really recorded. */
  captureFps?: number;
  /** Length of the slowed clip as played. */
  clipTimeS?: number;
  /** Times slower than it was. */
  slowdown?: number;
  /** In real time; goes before the method's own error. */
  timeErrorS?: number;
}

export interface TimingSpeedResult {
  timeS: number;
  /** One standard deviation. */
  timeErrorS: number;
  speedMps: number;
  errorMps: number;
  errorPct: number;
  advice: Finding;
}

/** Reaction of a hand on a stop-watch at both ends, s, one standard deviation. */
export const STOPWATCH_ERROR_S = 0.1;
export const TAPE_ERROR_M = 0.02;
const USUAL_CLIP_FPS = 30;

/**
 * Speed over a measured distance with its error.
 *
 * A frame hides an even share of its length at each end, so a count of frames is off by √(2/12) of one.
 * @returns time in s, speed in m/s, error in m/s and in per cent, and what to change to halve it
 * @see JCGM 100, Guide to the expression of uncertainty in measurement, 5.1
 */
export function timingSpeed(input: TimingSpeedInput): TimingSpeedResult {
  const distanceError = input.distanceErrorM ?? TAPE_ERROR_M;
  const { timeS, errorS } = timeOf(input);
  const speedMps = input.distanceM / timeS;
  const distanceShare = distanceError / input.distanceM;
  const timeShare = errorS / timeS;
  const share = Math.hypot(distanceShare, timeShare);
  return {
    timeS,
    timeErrorS: errorS,
    speedMps,
    errorMps: speedMps * share,
    errorPct: 100 * share,
    advice: adviceOf(input, distanceShare, timeShare),
  };
}

function timeOf(input: TimingSpeedInput): { timeS: number; errorS: number } {
  if (input.timeS !== undefined) return { timeS: input.timeS, errorS: input.timeErrorS ?? STOPWATCH_ERROR_S };
  const fps = input.captureFps ?? USUAL_CLIP_FPS * (input.slowdown ?? 1);
  const timeS = input.frames === undefined ? input.clipTimeS! / input.slowdown! : input.frames / fps;
  return { timeS, errorS: input.timeErrorS ?? Math.sqrt(2 / 12) / fps };
}

function adviceOf(input: TimingSpeedInput, distanceShare: number, timeShare: number): Finding {
  if (distanceShare === 0 && timeShare === 0) return finding('note.timing.nothingToGain', {});
  if (distanceShare > timeShare) {
    return finding('note.timing.tape', {
      error: measure((input.distanceErrorM ?? TAPE_ERROR_M) / 2, 'distanceM'),
      distance: measure(2 * input.distanceM, 'distanceM'),
    });
  }
  if (input.timeS === undefined) {
    const fps = input.captureFps ?? USUAL_CLIP_FPS * (input.slowdown ?? 1);
    return finding('note.timing.frameRate', {
      fps: measure(2 * fps, 'count', 3),
      distance: measure(2 * input.distanceM, 'distanceM'),
    });
  }
  return finding('note.timing.stopWatch', { distance: measure(2 * input.distanceM, 'distanceM') });
}

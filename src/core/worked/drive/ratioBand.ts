import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { packOfBuild, type PackOfBuild } from '../heat/enduranceOfBuild';
import { drivePack } from '../heat/wholePack';
import { type RatioDecision, ratioVerdict } from './ratioVerdict';
import type { Assembled } from '../../base/assembled';
import { driveRun } from '../../physics/motion/run';

/**
 * What a ratio comes to, the graver before the lesser; a car that tops out under the wish with the motor
 * hardly loaded is slow, hot or not.
 */
export const RATIO_VERDICTS = ['stalls', 'hot', 'slow', 'late', 'empty', 'meets'] as const;
export type RatioVerdict = (typeof RATIO_VERDICTS)[number];

export interface RatioPoint {
  readonly ratio: number;
  readonly verdict: RatioVerdict;
  /** Top speed over the no-load speed. */
  readonly share: number;
  readonly gripLimited: boolean;
}

export interface RatioStretch {
  readonly from: number;
  readonly to: number;
  readonly verdict: RatioVerdict;
}

export interface RatioBand {
  readonly present: RatioPoint;
  /** From long (few motor turns) to short, side by side. */
  readonly stretches: readonly RatioStretch[];
  readonly points: readonly RatioPoint[];
  /** Whether the present ratio is at fault; left out while there is no wish. */
  readonly decision?: RatioDecision;
}

interface Wish {
  speedMps: number;
  timeS: number | undefined;
  minutes: number | undefined;
}

const GRID = 22;
/** A motor that runs at more than this share of its no-load speed is hardly loaded. */
const COLD_SHARE = 0.9;
/**
 * The strip goes from a part of the ratio at which the no-load speed is the wish, or from where it no longer
 * meets the wish, to half as much again.
 */
const LONGEST = 0.12;
const SHORTEST = 1.5;
const LEAST_RATIO = 0.2;
const EDGE_HALVINGS = 5;

/** How every ratio from long to short would do on one surface: a run and a whole pack each. */
export function ratioBand(document: BuildDocument, surface: ChosenSurface): Assembled<RatioBand> {
  const assembled = packOfBuild(document, surface);
  if (!assembled.ok) return assembled;
  const input = assembled.value;
  const { targetMps, timeToDistanceS, distanceM, runTimeMinutes } = document.brief;
  const wish: Wish = {
    speedMps: targetMps ?? 0,
    timeS: distanceM === undefined ? undefined : timeToDistanceS,
    minutes: runTimeMinutes,
  };
  const at = (ratio: number) => pointAt(input, wish, ratio);
  const present = at(input.drive.ratio);
  const noLoadRatio = (driveRun(input).noLoadSpeedMps * input.drive.ratio) / (wish.speedMps || 1);
  const to = Math.max(SHORTEST * noLoadRatio, input.drive.ratio * 1.1);
  let from = Math.min(LONGEST * noLoadRatio, input.drive.ratio / 1.1);
  while (from > LEAST_RATIO && at(from).verdict === 'meets') from /= 1.5;
  const points = Array.from({ length: GRID }, (_, i) => at(from * (to / from) ** (i / (GRID - 1))));
  const stretches = stretchesOf(points, at);
  return {
    ok: true,
    value: {
      present,
      stretches,
      points,
      ...(targetMps === undefined ? {} : { decision: ratioVerdict(input, targetMps) }),
    },
  };
}

/** Coarser than a pack on its own page: the edges move by less than they are sought to. */
const STEP_SCALE = 2;

function pointAt(input: PackOfBuild, wish: Wish, ratio: number): RatioPoint {
  const here = { ...input, drive: { ...input.drive, ratio } };
  const run = driveRun(here);
  const top = run.topSpeedMps ?? Infinity;
  const share = run.stalled ? 0 : top / run.noLoadSpeedMps;
  const about = { ratio, share, gripLimited: run.topSpeedLimitedBy === 'grip' };
  if (run.stalled) return { ...about, verdict: 'stalls' };
  if (top < wish.speedMps && share > COLD_SHARE) return { ...about, verdict: 'slow' };
  const pack = drivePack(here, STEP_SCALE);
  const verdict: RatioVerdict =
    pack.endedBy === 'stalled'
      ? 'stalls'
      : pack.endedBy === 'winding' || pack.endedBy === 'case'
        ? 'hot'
        : top < wish.speedMps
          ? 'slow'
          : wish.timeS !== undefined && (run.timeToDistanceS ?? Infinity) > wish.timeS
            ? 'late'
            : wish.minutes !== undefined && pack.durationS < 60 * wish.minutes
              ? 'empty'
              : 'meets';
  return { ...about, verdict };
}

/** Neighbours of one verdict joined, every edge between two sought by halving. */
function stretchesOf(points: readonly RatioPoint[], at: (ratio: number) => RatioPoint): RatioStretch[] {
  const stretches: RatioStretch[] = [];
  let from = points[0]!.ratio;
  for (let i = 1; i < points.length; i++) {
    const [before, after] = [points[i - 1]!, points[i]!];
    if (before.verdict === after.verdict) continue;
    let low = before.ratio;
    let high = after.ratio;
    for (let n = 0; n < EDGE_HALVINGS; n++) {
      const middle = Math.sqrt(low * high);
      if (at(middle).verdict === before.verdict) low = middle;
      else high = middle;
    }
    const edge = Math.sqrt(low * high);
    stretches.push({ from, to: edge, verdict: before.verdict });
    from = edge;
  }
  stretches.push({ from, to: points.at(-1)!.ratio, verdict: points.at(-1)!.verdict });
  return stretches;
}

/** The widest stretch that meets the wish. */
export function meetingStretch(stretches: readonly RatioStretch[]): RatioStretch | undefined {
  return stretches
    .filter(({ verdict }) => verdict === 'meets')
    .sort((a, b) => b.to / b.from - a.to / a.from)[0];
}

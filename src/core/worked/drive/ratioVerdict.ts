import type { DriveRunInput } from '../../physics/motion/definition';
import { driveRun, type DriveRunResult } from '../../physics/motion/run';
import { standing } from '../../physics/motion/standstill';
import type { PackOfBuild } from '../heat/enduranceOfBuild';
import { wholePack } from '../heat/wholePack';

/** A ratio is tried this far to either side for a faster, or a cooler, neighbour. */
const NEARBY = 0.05;
/** How near an end of the ratios that meet the wish and stay cool is near. */
const TO_AN_END = 0.1;
/** Gain of speed that names a way. */
const WORTH = 1.005;

export type RatioWay = 'longer' | 'shorter';

/** What the ratio comes to, and which way it should go where that is known. */
export interface RatioDecision {
  readonly by:
    | 'tyresAtRest'
    | 'stalls'
    | 'gripAtSpeed'
    | 'missed'
    | 'tooLittleMotor'
    | 'hot'
    | 'hotAnyGear'
    | 'nearEnd'
    | 'meets';
  readonly state: 'over' | 'tight' | 'clear';
  readonly way?: RatioWay;
  /** Top speed over the no-load speed. */
  readonly share: number;
  /** What a gear 10 % towards the near end would lose. */
  readonly loses?: 'wish' | 'cool';
}

const regeared = <T extends DriveRunInput>(input: T, factor: number): T => ({
  ...input,
  drive: { ...input.drive, ratio: input.drive.ratio * factor },
});
const topOf = ({ topSpeedMps = Infinity }: DriveRunResult) => topSpeedMps;

/** Whether a whole pack stays under both limits of temperature, and how hot the case gets. */
function heatIn(input: PackOfBuild): { cool: boolean; peakCaseC: number } {
  const { ended, unlimited } = wholePack(input);
  return { cool: ended.endedBy !== 'winding' && ended.endedBy !== 'case', peakCaseC: unlimited.peakCaseC };
}

/**
 * Whether the gear is at fault, by driving its neighbours: no verdict where the tyres decide; where the wish is missed the
 * faster neighbour names the way; where it is met, how near the present ratio is to an end of those that meet it and stay cool.
 *
 * @param wishMps wished top speed, m/s
 */
export function ratioVerdict(input: PackOfBuild, wishMps: number, run = driveRun(input)): RatioDecision {
  const top = topOf(run);
  const share = run.stalled ? 0 : Math.min(1, top / run.noLoadSpeedMps);
  if (run.stalled)
    return standing(input).outcome === 'spins'
      ? { by: 'tyresAtRest', state: 'clear', share }
      : { by: 'stalls', state: 'over', way: 'shorter', share };
  if (top < wishMps) {
    if (run.topSpeedLimitedBy === 'grip') return { by: 'gripAtSpeed', state: 'clear', share };
    const [longer, shorter] = [1 - NEARBY, 1 + NEARBY].map((one) =>
      topOf(driveRun(regeared(input, one))),
    ) as [number, number];
    if (Math.max(longer, shorter) < WORTH * top) return { by: 'tooLittleMotor', state: 'over', share };
    return { by: 'missed', state: 'over', way: longer > shorter ? 'longer' : 'shorter', share };
  }
  const present = heatIn(input);
  const meets = (factor: number) => topOf(driveRun(regeared(input, factor))) >= wishMps;
  if (!present.cool) {
    const cooler = ([1 - NEARBY, 1 + NEARBY] as const)
      .filter(meets)
      .map((factor) => ({ factor, ...heatIn(regeared(input, factor)) }))
      .filter(({ peakCaseC }) => peakCaseC < present.peakCaseC)
      .sort((a, b) => a.peakCaseC - b.peakCaseC)[0];
    return cooler
      ? { by: 'hot', state: 'over', way: cooler.factor < 1 ? 'longer' : 'shorter', share }
      : { by: 'hotAnyGear', state: 'clear', share };
  }
  for (const [factor, way] of [
    [1 + TO_AN_END, 'longer'],
    [1 - TO_AN_END, 'shorter'],
  ] as const) {
    if (!meets(factor)) return { by: 'nearEnd', state: 'tight', way, share, loses: 'wish' };
    if (!heatIn(regeared(input, factor)).cool)
      return { by: 'nearEnd', state: 'tight', way, share, loses: 'cool' };
  }
  return { by: 'meets', state: 'clear', share };
}

import { refusal } from '../../base/errors';
import { criticalGain } from './criticalGain';
import { gyroLawOf, wantedRate } from './gyroLaw';
import { counterSteerRange } from './slideLimits';
import type { SlideVerdict, YawInput, YawResult, YawRow, YawSeries, YawVerdict } from './yawDefinition';
import { yawMotion } from './yawMotion';
import { type Finding, finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.yaw.overCorrects': { gain: Measure; speed: Measure };
    'note.yaw.turnDown': { gain: Measure };
    'note.yaw.noneSettles': Record<never, never>;
    'note.yaw.fastest': { gain: Measure; time: Measure; overshoots: number };
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'yaw.samples': { mostSamples: number };
  }
}

export const USUAL_DURATION_S = 2;
const MOST_SAMPLES = 200_000;
const RAD = Math.PI / 180;
const BAND = 0.05;
const DYING = 0.98;
const NEGLIGIBLE = 0.01;

/**
 * A gyro on the steering: a two-state bicycle model at constant speed with saturating tyres, a sampled gyro and a servo
 * with lag and rate.
 *
 * @returns angles in degrees, the path in m; `criticalGain` of the linear loop
 * @throws CalcError at `gyro.sampleS` where a run would take too many samples
 * @see Gillespie, Fundamentals of Vehicle Dynamics, ch. 6; Åström and Wittenmark, Computer-Controlled Systems, ch. 3
 */
export function yawAssist(input: YawInput): YawResult {
  const { gains = [], gyro, durationS = USUAL_DURATION_S } = input;
  if (durationS / gyro.sampleS > MOST_SAMPLES)
    throw refusal('gyro.sampleS', 'yaw.samples', { mostSamples: MOST_SAMPLES });
  const series = yawMotion(input, gyro.gain, durationS);
  const critical = criticalGain(input);
  const sweep = gains.map((gain): YawRow => ({
    gain,
    ...verdictOf(input, yawMotion(input, gain, durationS)),
  }));
  return {
    series,
    ...verdictOf(input, series),
    ...(series.slideDeg ? { slide: slideOf(input, series) } : {}),
    ...(critical === undefined ? {} : { criticalGain: critical }),
    sweep,
    advice: adviceOf(input, critical, sweep),
  };
}

/** Whether and when a run settles. */
export function verdictOf(input: YawInput, { tS, yawRateDegPerS: rates }: YawSeries): YawVerdict {
  const { scenario } = input;
  const last = input.gyro.holds ? askedDegPerS(input) : rates.at(-1)!;
  const [target, disturbance] =
    scenario.kind === 'kick' ? [0, Math.abs(scenario.yawRateDegPerS)] : [last, Math.abs(last)];
  const band = BAND * disturbance;
  const settled = settledAt(tS, rates, target, band);
  return {
    ...(settled === undefined ? {} : { settleS: settled }),
    overshoots: overshootsOf(
      rates,
      target,
      band,
      scenario.kind === 'kick' ? Math.sign(scenario.yawRateDegPerS) : -Math.sign(last),
    ),
    stable: isDying(rates, target, disturbance),
  };
}

/** Yaw rate that the driver's steering asks for, °/s. */
export function askedDegPerS(input: YawInput): number {
  const { scenario, speedMps } = input;
  return scenario.kind === 'kick' ? 0 : wantedRate(gyroLawOf(input), speedMps, scenario.steerDeg * RAD) / RAD;
}

/** Within which a rate counts as held, of a stop, and the slide from which the path is no longer that of this model. */
const [HELD_WITHIN, AT_STOP, ACROSS_DEG] = [0.1, 1e-3, 75];

function slideOf(
  input: YawInput,
  { tS, yawRateDegPerS: rates, slideDeg, steerDeg }: YawSeries,
): SlideVerdict {
  const round = slideDeg!.findIndex((angle) => Math.abs(angle) > ACROSS_DEG);
  const asked = askedDegPerS(input);
  const late = rates.slice(Math.floor((2 * rates.length) / 3));
  const [least, most] = counterSteerRange(input);
  return {
    held: late.every((rate) => Math.abs(rate - asked) <= HELD_WITHIN * Math.abs(asked)),
    slideDeg: slideDeg!.at(-1)!,
    ...(round < 0 ? {} : { roundAtS: tS[round]! }),
    lockShare:
      steerDeg.filter((angle) => angle <= least + AT_STOP || angle >= most - AT_STOP).length /
      steerDeg.length,
  };
}

/** The last time outside the band; undefined where the run ends outside it. */
function settledAt(
  tS: readonly number[],
  rates: readonly number[],
  target: number,
  band: number,
): number | undefined {
  for (let index = rates.length - 1; index >= 0; index--) {
    if (Math.abs(rates[index]! - target) <= band) continue;
    return index === rates.length - 1 ? undefined : tS[index]!;
  }
  return 0;
}

/** Excursions on alternate sides of the band, after the one that starts on `side`. */
function overshootsOf(rates: readonly number[], target: number, band: number, side: number): number {
  let [count, held] = [0, side];
  for (const rate of rates) {
    const off = rate - target;
    if (Math.abs(off) <= band || Math.sign(off) === held) continue;
    held = Math.sign(off);
    count++;
  }
  return count;
}

function isDying(rates: readonly number[], target: number, disturbance: number): boolean {
  const third = rates.length / 3;
  const peak = (from: number, to: number) =>
    rates
      .slice(Math.floor(from), Math.ceil(to))
      .reduce((most, rate) => Math.max(most, Math.abs(rate - target)), 0);
  const [middle, late] = [peak(third, 2 * third), peak(2 * third, rates.length)];
  return late < DYING * middle || (late <= NEGLIGIBLE * disturbance && middle <= NEGLIGIBLE * disturbance);
}

/** Of those that settle the one that does so first. */
export const soonestGain = (sweep: readonly YawRow[]): (YawRow & { settleS: number }) | undefined =>
  sweep
    .flatMap((row) => (row.stable && row.settleS !== undefined ? [{ ...row, settleS: row.settleS }] : []))
    .sort((a, b) => a.settleS - b.settleS)[0];

function adviceOf(
  { speedMps, gyro }: YawInput,
  critical: number | undefined,
  sweep: readonly YawRow[],
): Finding[] {
  const best = soonestGain(sweep);
  const limit =
    critical === undefined
      ? []
      : [
          finding('note.yaw.overCorrects', {
            gain: measure(critical, 'coefficient', 2),
            speed: measure(speedMps, 'speedMps'),
          }),
        ];
  const now =
    critical !== undefined && gyro.gain > critical
      ? [finding('note.yaw.turnDown', { gain: measure(gyro.gain, 'coefficient') })]
      : [];
  const fastest =
    best === undefined
      ? sweep.length > 0
        ? [finding('note.yaw.noneSettles', {})]
        : []
      : [
          finding('note.yaw.fastest', {
            gain: measure(best.gain, 'coefficient', 2),
            time: measure(best.settleS, 'timeS', 2),
            overshoots: best.overshoots,
          }),
        ];
  return [...limit, ...now, ...fastest];
}

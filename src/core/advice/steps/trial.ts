import { measuredOf } from '../../worked/field/measured';
import { isTimed, type RunKind, type RunRecord } from '../../car/records/records';
import { runsNeeded } from '../../physics/statistics/runsCompare';
import { sampleDeviation } from '../../base/numeric/statistics';
import { hoursToBelieve } from '../../physics/statistics/life';
import { plain } from '../../base/units/plain';
import type { QuantityName } from '../../base/units/quantities';
import type { Check } from '../../verdict/engine/check';
import type { Trial } from './definition';

/** What a probe, a pack and a scale scatter from run to run, one standard deviation. By judgement. */
const USUAL_SPREAD: Readonly<Partial<Record<QuantityName, { absolute?: number; share?: number }>>> = {
  temperatureC: { absolute: 3 },
  minutes: { share: 0.05 },
  speedMps: { share: 0.025 },
  timeS: { share: 0.02 },
  massG: { absolute: 2 },
};

interface TrialRule {
  prefix: string;
  run: RunKind | 'look';
  how: string;
  /** What is read is the check's own figure. */
  figure?: true;
}

/** By which run a better check shows, the longest prefix first. */
export const TRIAL_RULES: readonly TrialRule[] = [
  {
    prefix: 'drive.speed',
    run: 'timedDistance',
    how: 'time the same distance before and after, the pack equally full',
    figure: true,
  },
  {
    prefix: 'drive.heat',
    run: 'endurance',
    how: 'drive a whole pack before and after, and read the motor’s case every five minutes',
    figure: true,
  },
  {
    prefix: 'drive.winding',
    run: 'endurance',
    how: 'drive a whole pack and read the motor’s case at once when it stops',
  },
  { prefix: 'drive.ratio', run: 'timedDistance', how: 'time the same distance before and after' },
  {
    prefix: 'drive.time',
    run: 'launch',
    how: 'time a standing start over the wished distance before and after',
    figure: true,
  },
  { prefix: 'drive.moves', run: 'launch', how: 'time a standing start before and after' },
  { prefix: 'drive.', run: 'timedDistance', how: 'time the same distance before and after' },
  { prefix: 'brief.charge', run: 'endurance', how: 'drive a whole pack before and after', figure: true },
  { prefix: 'brief.mass', run: 'look', how: 'put it on the scale, ready to run', figure: true },
  { prefix: 'brief.', run: 'look', how: 'look at the brief again' },
  {
    prefix: 'gears.',
    run: 'drop',
    how: 'land it from the height of the brief with the throttle on, then look at every tooth',
  },
  {
    prefix: 'joint.',
    run: 'endurance',
    how: 'draw a line over hub and shaft, drive a pack, and look whether it still meets',
  },
  {
    prefix: 'shaft.',
    run: 'drop',
    how: 'land it with the throttle on and roll the shaft on a flat plate afterwards',
  },
  {
    prefix: 'tyre.',
    run: 'tyreSpin',
    how: 'spin it up behind a shield, from a distance, and measure its growth',
  },
  {
    prefix: 'power.',
    run: 'spin',
    how: 'wheels off the ground: steer hard against the stop with the throttle on, and watch the receiver’s volts',
  },
  { prefix: 'chassis.', run: 'terrain', how: 'drive the same bend and the same slope before and after' },
  {
    prefix: 'suspension.landing',
    run: 'drop',
    how: 'drop it from the height of the brief and look for marks where the chassis would touch',
  },
  {
    prefix: 'suspension.',
    run: 'terrain',
    how: 'move each wheel through its travel by hand, then drive the same rough stretch',
  },
  { prefix: 'steering.', run: 'spin', how: 'steer to both stops with the wheels on the ground' },
  { prefix: 'aids.', run: 'series', how: 'drive the same bend with the aid off and on, in turns' },
  { prefix: 'parts.', run: 'blows', how: 'clamp the part, hit it light and hard, and count until it fails' },
  { prefix: 'print.', run: 'look', how: 'lay it on the bed' },
];

/** Blows or landings without damage that show, at 90 %, that fewer than one in five breaks it: 0.8^n ≤ 0.1. */
export const BLOWS_TO_BELIEVE = Math.ceil(Math.log(0.1) / Math.log(0.8));

/** Spread of the attempts of like runs, m/s, pooled within the runs; none before two attempts. Source: pooled variance. */
export function pooledSpread(
  runs: readonly RunRecord[],
  kind: RunKind = 'timedDistance',
): number | undefined {
  const groups = runs
    .filter((run) => run.kind === kind)
    .filter(isTimed)
    .map((run) => measuredOf(run).attempts.map(({ speedMps }) => speedMps))
    .filter(({ length }) => length > 1);
  const freedom = groups.reduce((sum, { length }) => sum + length - 1, 0);
  return freedom === 0
    ? undefined
    : Math.sqrt(
        groups.reduce((sum, group) => sum + (group.length - 1) * sampleDeviation(group) ** 2, 0) / freedom,
      );
}

/** How to see that a check got better, and how many runs that takes. */
export function trialOf(before: Check, after: Pick<Check, 'value'>, runs: readonly RunRecord[]): Trial {
  const { run, how, figure } = TRIAL_RULES.find(
    ({ prefix }) => before.id === prefix || before.id.startsWith(prefix),
  ) ?? { run: 'look' as const, how: 'look at it on the car', figure: undefined };
  if (!figure || before.value === undefined || after.value === undefined)
    return { run, how, ...counted(run) };
  const { quantity, value } = before;
  const spread = spreadOf(quantity, value, runs);
  const needed = spread === undefined ? undefined : runsNeeded(after.value - value, spread.sd ** 2);
  const base = { run, how, quantity, expected: { before: value, after: after.value } };
  if (run === 'look') return { ...base, enough: 'One look tells it.' };
  if (needed === undefined) return { ...base, enough: 'Three on each side, to see how much they spread.' };
  return {
    ...base,
    runs: needed,
    enough: `${needed} ${needed === 1 ? 'run' : 'runs'} on each side, by ${spread!.seen ? 'the spread of your own runs' : 'a usual spread'}.`,
  };
}

function counted(run: Trial['run']): Pick<Trial, 'runs' | 'enough'> {
  if (run === 'drop' || run === 'blows')
    return {
      runs: BLOWS_TO_BELIEVE,
      enough: `${BLOWS_TO_BELIEVE} without damage show, at 90 %, that fewer than one in five breaks it.`,
    };
  if (run === 'look') return { enough: 'One look tells it.' };
  if (run === 'spin') return { runs: 1, enough: 'Once, for half a minute: it shows or it does not.' };
  return { runs: 3, enough: 'Three on each side, to see how much they spread.' };
}

function spreadOf(
  quantity: QuantityName,
  value: number,
  runs: readonly RunRecord[],
): { sd: number; seen: boolean } | undefined {
  const own = quantity === 'speedMps' ? pooledSpread(runs) : undefined;
  if (own !== undefined && own > 0) return { sd: own, seen: true };
  const usual = USUAL_SPREAD[quantity];
  return usual && { sd: usual.absolute ?? usual.share! * Math.abs(value), seen: false };
}

/** The same in a sentence. */
export const lifeWords = (livedHours: number): string =>
  `It lasted ${plain(livedHours, 2)} h; ${plain(hoursToBelieve(livedHours), 2)} h without it show, at 90 %, that it lasts longer now.`;

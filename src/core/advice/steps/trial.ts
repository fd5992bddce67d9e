import { type Finding, finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';
import type { Check, Proof } from '../../verdict/engine/check';
import { familyOf } from '../../verdict/engine/family';
import { FACES, FAMILIES } from '../../verdict/faces';
import { measuredOf } from '../../worked/field/measured';
import { isTimed, type RunRecord } from '../../car/records/records';
import { RUN_KIND_RECORDS, type RunKind } from '../../car/records/runKinds';
import { runsNeeded } from '../../physics/statistics/runsCompare';
import { pooledDeviation, sampleDeviation } from '../../base/numeric/statistics';
import { hoursToBelieve } from '../../physics/statistics/life';
import type { QuantityName } from '../../base/units/quantities';
import type { Trial } from './definition';

declare module '../../base/finding' {
  interface FindingFacts {
    'trial.oneLook': Record<never, never>;
    'trial.once': Record<never, never>;
    'trial.three': Record<never, never>;
    'trial.runs': { runs: number; own: boolean };
    'trial.blows': { blows: number };
    'trial.life': { lived: Measure; needed: Measure };
  }
}

/** What a probe, a pack and a scale scatter from run to run, one standard deviation. By judgement. */
const USUAL_SPREAD: Readonly<Partial<Record<QuantityName, { absolute?: number; share?: number }>>> = {
  temperatureC: { absolute: 3 },
  minutes: { share: 0.05 },
  speedMps: { share: 0.025 },
  timeS: { share: 0.02 },
  massG: { absolute: 2 },
};

/** How each check's change is proven, by the check's own record; a family's by its first part. */
const PROOFS: ReadonlyMap<string, Proof> = new Map([
  ...FACES.map(({ id, provenBy }) => [id, provenBy] as const),
  ...FAMILIES.map(({ family, provenBy }) => [family, provenBy] as const),
]);

/** The run that proves a check. */
export function proofOf(id: string): Proof {
  return PROOFS.get(id) ?? PROOFS.get(familyOf(id)) ?? { run: 'look', how: 'onTheCar' };
}

/** Blows or landings without damage that show, at 90 %, that fewer than one in five breaks it: 0.8^n ≤ 0.1. */
export const BLOWS_TO_BELIEVE = Math.ceil(Math.log(0.1) / Math.log(0.8));

/** Spread of the attempts of like runs, m/s, pooled within the runs; none before two attempts. */
export function pooledSpread(
  runs: readonly RunRecord[],
  kind: RunKind = 'timedDistance',
): number | undefined {
  return pooledDeviation(
    runs
      .filter((run) => run.kind === kind)
      .filter(isTimed)
      .map((run) => measuredOf(run).attempts.map(({ speedMps }) => speedMps))
      .filter(({ length }) => length > 1)
      .map((speeds) => ({ n: speeds.length, sd: sampleDeviation(speeds) })),
  );
}

/** How to see that a check got better, and how many runs that takes. */
export function trialOf(before: Check, after: Pick<Check, 'value'>, runs: readonly RunRecord[]): Trial {
  const { run, how, figure } = proofOf(before.id);
  if (!figure || before.value === undefined || after.value === undefined)
    return { run, how, ...counted(run) };
  const { quantity, value } = before;
  const spread = spreadOf(quantity, value, runs);
  const needed = spread === undefined ? undefined : runsNeeded(after.value - value, spread.sd ** 2);
  const base = { run, how, quantity, expected: { before: value, after: after.value } };
  if (run === 'look') return { ...base, enough: finding('trial.oneLook', {}) };
  if (needed === undefined) return { ...base, enough: finding('trial.three', {}) };
  return { ...base, runs: needed, enough: finding('trial.runs', { runs: needed, own: spread!.seen }) };
}

function counted(run: Trial['run']): Pick<Trial, 'runs' | 'enough'> {
  if (run === 'look') return { enough: finding('trial.oneLook', {}) };
  const { believedAfter } = RUN_KIND_RECORDS[run];
  if (believedAfter === 'blows')
    return { runs: BLOWS_TO_BELIEVE, enough: finding('trial.blows', { blows: BLOWS_TO_BELIEVE }) };
  if (believedAfter === 'one') return { runs: 1, enough: finding('trial.once', {}) };
  return { runs: 3, enough: finding('trial.three', {}) };
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

/** How long a fix must last to be believed, after what it mends had lasted so many hours. */
export const lifeToBelieve = ({ hours, failures }: { hours: number; failures: number }): Finding =>
  finding('trial.life', {
    lived: measure(hours / failures, 'hours', 2),
    needed: measure(hoursToBelieve(hours, failures), 'hours', 2),
  });

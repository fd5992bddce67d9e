import { mean, sampleDeviation } from '../../base/numeric/statistics';
import type { RunReport, Temperature } from '../../car/records/report';
import { outliersOf } from '../../physics/statistics/outliers';

/** The hottest reading of each place. */
export function hottest(temperatures: readonly Temperature[] = []): Temperature[] {
  const found = new Map<string, Temperature>();
  for (const one of temperatures)
    if ((found.get(one.place)?.valueC ?? -Infinity) < one.valueC) found.set(one.place, one);
  return [...found.values()];
}

/** Lowest height at which it failed, and the highest that it held; none where there is none. */
export function dropLimit({ drops = [] }: RunReport): { heldM?: number; failedM?: number } {
  const held = drops.filter(({ outcome }) => outcome !== 'failed').map(({ heightM }) => heightM);
  const failed = drops.filter(({ outcome }) => outcome === 'failed').map(({ heightM }) => heightM);
  return {
    ...(held.length > 0 ? { heldM: Math.max(...held) } : {}),
    ...(failed.length > 0 ? { failedM: Math.min(...failed) } : {}),
  };
}

/** Growth of a spun tyre over its smallest reading, share. */
export function growthOf({ spins = [] }: RunReport): number | undefined {
  const read = spins
    .flatMap(({ rpm, diameterMm }) => (diameterMm === undefined ? [] : [{ rpm, diameterMm }]))
    .sort((one, other) => one.rpm - other.rpm);
  return read.length < 2 ? undefined : read.at(-1)!.diameterMm / read[0]!.diameterMm - 1;
}

/** Lap times as they are told, those that stand out left aside; none without a lap. */
export interface LapTimes {
  n: number;
  bestS: number;
  meanS: number;
  sdS?: number;
  /** Places of those that stand out, from 0. */
  outliers: number[];
}

export function lapTimesOf({ laps = [] }: RunReport): LapTimes | undefined {
  if (laps.length === 0) return undefined;
  const outliers = outliersOf(laps);
  const kept = laps.filter((_, at) => !outliers.includes(at));
  return {
    n: laps.length,
    bestS: Math.min(...laps),
    meanS: mean(kept),
    ...(kept.length > 1 ? { sdS: sampleDeviation(kept) } : {}),
    outliers,
  };
}

/** What stops say of the brake: how hard it slows once it does, and how long it takes until then. */
export interface StopsSaid {
  decelMps2: number;
  /** Only from stops of two speeds. */
  answerS?: number;
}

/** Stops by d = t·v + v²/(2a), least squares of d/v over v; one speed alone gives the least deceleration, v²/(2d). */
export function stopsSaid({ stops = [] }: RunReport): StopsSaid | undefined {
  if (stops.length === 0) return undefined;
  const [xs, ys] = [
    stops.map(({ fromMps }) => fromMps),
    stops.map(({ fromMps, distanceM }) => distanceM / fromMps),
  ];
  const [x, y] = [mean(xs), mean(ys)];
  const squares = xs.reduce((sum, one) => sum + (one - x) ** 2, 0);
  const slope = squares > 0 ? xs.reduce((sum, one, at) => sum + (one - x) * (ys[at]! - y), 0) / squares : 0;
  const answerS = y - slope * x;
  return slope > 0 && answerS >= 0
    ? { decelMps2: 1 / (2 * slope), answerS }
    : { decelMps2: mean(stops.map(({ fromMps, distanceM }) => fromMps ** 2 / (2 * distanceM))) };
}

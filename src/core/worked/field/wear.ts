import { mean } from '../../base/numeric/statistics';
import type { WearPlace, WearReading } from '../../car/records/prints';

export interface Wear {
  of: WearPlace;
  readings: readonly WearReading[];
  /** At which it is spent. */
  limitMm: number;
  lastMm: number;
  /** Taken off, or widened, an hour; none before two readings at different hours. */
  rateMmPerHour?: number;
  /** One standard deviation. */
  rateErrorMmPerHour?: number;
  /** From now to the limit at that rate, 0 where it is past; none where no wear shows. */
  hoursLeft?: number;
  /** At 90 %, one-sided. */
  atLeastHours?: number;
  /** Driven since the last reading. */
  sinceHours: number;
}

/** Of a tooth as thick as half the pitch, the share that is 0.2 of its module: the wear limit of a tooth. */
const TOOTH_SHARE = 0.2 / (Math.PI / 2);
/** Play at which a pin or its bore is spent, mm. By judgement. */
const PLAY_MM = 0.15;
/** One standard deviation of a reading with a caliper, mm. By judgement. */
export const CALIPER_MM = 0.02;
/** Of a normal distribution, what nine of ten stay under. */
const NINE_OF_TEN = 1.2816;

/** A bore grows; tooth and pin shrink. */
const signOf = (of: WearPlace) => (of === 'bore' ? 1 : -1);

const usualLimit = (of: WearPlace, firstMm: number) =>
  of === 'tooth' ? firstMm * (1 - TOOTH_SHARE) : Math.max(0, firstMm + signOf(of) * PLAY_MM);

/**
 * Wear of one copy from its readings, place by place: a straight line over the hours driven, and the hours until its limit.
 *
 * @param hoursNow that the copy has been driven; the last reading's where not given
 * @returns mm, mm an hour, h
 * @see Archard 1953 (wear grows with the way slid under a load); Draper and Smith, Applied Regression Analysis, ch. 1 (error of a slope)
 */
export function wearOf(all: readonly WearReading[], hoursNow?: number): Wear[] {
  const places = [...new Set(all.map(({ of }) => of))];
  return places.map((of) => {
    const readings = all
      .filter((one) => one.of === of)
      .sort((a, b) => a.hours - b.hours || (a.at < b.at ? -1 : 1));
    const [first, last] = [readings[0]!, readings.at(-1)!];
    const limitMm =
      readings.findLast((one) => one.limitMm !== undefined)?.limitMm ?? usualLimit(of, first.valueMm);
    const sinceHours = Math.max(0, (hoursNow ?? last.hours) - last.hours);
    const line = lineThrough(readings, signOf(of));
    const base = { of, readings, limitMm, lastMm: last.valueMm, sinceHours, ...line };
    const left = (limitMm - last.valueMm) * signOf(of);
    if (left <= 0) return { ...base, hoursLeft: 0, atLeastHours: 0 };
    if (!line) return base;
    const { rateMmPerHour: rate, rateErrorMmPerHour: error } = line;
    const at = (speed: number) => Math.max(0, left / speed - sinceHours);
    const fastest = rate + NINE_OF_TEN * error;
    return {
      ...base,
      ...(fastest > 0 ? { atLeastHours: at(fastest) } : {}),
      ...(rate > NINE_OF_TEN * error ? { hoursLeft: at(rate) } : {}),
    };
  });
}

/** Slope by least squares, wear positive; its error from the scatter, or from the caliper where that is more. */
function lineThrough(
  readings: readonly WearReading[],
  sign: number,
): { rateMmPerHour: number; rateErrorMmPerHour: number } | undefined {
  const [h, v] = [mean(readings.map(({ hours }) => hours)), mean(readings.map(({ valueMm }) => valueMm))];
  const spread = readings.reduce((sum, { hours }) => sum + (hours - h) ** 2, 0);
  if (spread === 0) return undefined;
  const slope = readings.reduce((sum, { hours, valueMm }) => sum + (hours - h) * (valueMm - v), 0) / spread;
  const rest = readings.reduce(
    (sum, { hours, valueMm }) => sum + (valueMm - v - slope * (hours - h)) ** 2,
    0,
  );
  const scatter = readings.length > 2 ? Math.sqrt(rest / (readings.length - 2)) : 0;
  return {
    rateMmPerHour: sign * slope,
    rateErrorMmPerHour: Math.max(scatter, CALIPER_MM) / Math.sqrt(spread),
  };
}

import type { LogRole } from './roles';
import { at } from './resample';

/** Where the second log lies on the first. */
export interface LogSync {
  /** To be added to the second's times. */
  offsetS: number;
  /** Correlation there. */
  quality: number;
  /** Of the best place over a second away. */
  runnerUp?: number;
  usable: boolean;
  by: LogRole;
}

export interface Signal {
  role: LogRole;
  tS: readonly number[];
  values: ArrayLike<number>;
}

/** Columns that two logs are laid on each other by, the best first. */
export const SYNC_ROLES: readonly LogRole[] = ['speed', 'rpm', 'throttle'];

const HZ = 20;
const LEAST_OVERLAP = 0.5;
const [AWAY_S, LEAST_QUALITY, CLEAR_BY] = [1, 0.7, 0.1];

/** Linear between what is present, at 20 Hz from the first time; `skipped` instants before the first value are left out. */
function evenly({ tS, values }: Signal): { values: Float64Array; skipped: number } {
  const last = tS[tS.length - 1]!;
  const instants = Float64Array.from({ length: Math.floor(last * HZ + 1e-9) + 1 }, (_, k) => k / HZ);
  const all = at(instants, tS, values, Infinity);
  const skipped = Math.max(
    0,
    all.findIndex((value) => !Number.isNaN(value)),
  );
  return { values: all.filter((value) => !Number.isNaN(value)), skipped };
}

/** Pearson's r of two rows of numbers; nothing where one does not change. */
function correlation(a: Float64Array, b: Float64Array, lag: number): number | undefined {
  const from = Math.max(0, lag);
  const to = Math.min(a.length, b.length + lag);
  const n = to - from;
  let [sa, sb, saa, sbb, sab] = [0, 0, 0, 0, 0];
  for (let k = from; k < to; k++) {
    const [x, y] = [a[k]!, b[k - lag]!];
    sa += x;
    sb += y;
    saa += x * x;
    sbb += y * y;
    sab += x * y;
  }
  const [va, vb] = [saa - (sa * sa) / n, sbb - (sb * sb) / n];
  return va > 1e-12 * saa && vb > 1e-12 * sbb ? (sab - (sa * sb) / n) / Math.sqrt(va * vb) : undefined;
}

/**
 * The lag at which two signals are most alike, refined by the parabola through its neighbours.
 *
 * @returns undefined where they do not overlap enough, or one of them does not change
 */
export function syncOf(first: Signal, second: Signal, maxOffsetS: number): LogSync | undefined {
  const [one, two] = [evenly(first), evenly(second)];
  const [a, b] = [one.values, two.values];
  const least = LEAST_OVERLAP * Math.min(a.length, b.length);
  const most = Math.floor(maxOffsetS * HZ + 1e-9);
  const found: { lag: number; r: number }[] = [];
  for (let lag = -most; lag <= most; lag++) {
    const shift = lag - one.skipped + two.skipped;
    const overlap = Math.min(a.length, b.length + shift) - Math.max(0, shift);
    if (overlap < Math.max(2, least)) continue;
    const r = correlation(a, b, shift);
    if (r !== undefined) found.push({ lag, r });
  }
  if (found.length === 0) return undefined;
  const best = found.reduce((top, other) => (other.r > top.r ? other : top));
  const rAt = new Map(found.map(({ lag, r }) => [lag, r]));
  const isTop = ({ lag, r }: { lag: number; r: number }) => {
    const [before, after] = [rAt.get(lag - 1), rAt.get(lag + 1)];
    return before !== undefined && after !== undefined && r >= before && r >= after;
  };
  const others = found.filter((other) => Math.abs(other.lag - best.lag) > AWAY_S * HZ && isTop(other));
  const runnerUp = others.length > 0 ? Math.max(...others.map(({ r }) => r)) : undefined;
  const [before, after] = [rAt.get(best.lag - 1), rAt.get(best.lag + 1)];
  const bend = before === undefined || after === undefined ? 0 : before - 2 * best.r + after;
  const shift = bend < 0 ? (before! - after!) / (2 * bend) : 0;
  return {
    offsetS: (best.lag + shift) / HZ,
    quality: best.r,
    ...(runnerUp === undefined ? {} : { runnerUp }),
    usable: best.r >= LEAST_QUALITY && (runnerUp === undefined || best.r - runnerUp >= CLEAR_BY),
    by: first.role,
  };
}

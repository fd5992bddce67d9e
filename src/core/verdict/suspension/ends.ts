import type { Assembled } from '../../base/assembled';
import { type End, ENDS } from '../../car/document/suspension';
import type { Found, State } from '../engine/check';
import type { Finding, Working } from '../../base/finding';

/** What a check finds at one end of the car. */
export interface OfEnd {
  end: End;
  value: number;
  limit?: number;
  state?: State;
  /** Smaller is worse. */
  rank: number;
  finding: Finding;
  working: Working;
}

/** The worse of both ends; an end that is not worked out leaves it open unless the other is bad already. */
export function worseEnd(found: readonly Assembled<OfEnd>[], bad: (one: OfEnd) => boolean): Found {
  const known = found.flatMap((one) => (one.ok ? [one.value] : [])).sort((a, b) => a.rank - b.rank);
  const missing = found.flatMap((one) => (one.ok ? [] : one.missing));
  const worst = known[0];
  if (!worst || (missing.length > 0 && !bad(worst))) return { missing };
  const { end: _, rank: __, ...figures } = worst;
  return figures;
}

/** What is found at each end, from what its figures give. */
export const both = <T>(
  work: (end: End) => Assembled<T>,
  tell: (end: End, value: T) => OfEnd | Assembled<OfEnd>,
): Assembled<OfEnd>[] =>
  ENDS.map((end) => {
    const found = work(end);
    if (!found.ok) return found;
    const told = tell(end, found.value);
    return 'ok' in told ? told : { ok: true, value: told };
  });

/** How far inside a band, in widths of it; negative outside. */
export const inside = (value: number, [low, high]: readonly [number, number]) =>
  Math.min(value - low, high - value) / (high - low);

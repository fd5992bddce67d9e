import { type End, ENDS } from '../../../car/document/suspension';
import type { Finding, State } from '../../engine/check';
import type { WorkingStep } from '../../../base/workingStep';
import type { Assembled } from '../../../base/assembled';

/** What a check finds at one end of the car. */
export interface OfEnd {
  end: End;
  value: number;
  limit?: number;
  state?: State;
  /** Smaller is worse. */
  rank: number;
  why: string;
  working: readonly WorkingStep[];
}

/** The worse of both ends; an end that is not worked out leaves it open unless the other is bad already. */
export function worseEnd(found: readonly Assembled<OfEnd>[], bad: (one: OfEnd) => boolean): Finding {
  const known = found.flatMap((one) => (one.ok ? [one.value] : [])).sort((a, b) => a.rank - b.rank);
  const missing = [...new Set(found.flatMap((one) => (one.ok ? [] : one.missing)))];
  const worst = known[0];
  if (!worst || (missing.length > 0 && !bad(worst))) return { missing };
  return {
    value: worst.value,
    ...(worst.limit === undefined ? {} : { limit: worst.limit }),
    ...(worst.state === undefined ? {} : { state: worst.state }),
    why: `${worst.end === 'front' ? 'Front' : 'Rear'}: ${worst.why}`,
    working: worst.working,
  };
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

export const named = (end: End) => (end === 'front' ? 'Front' : 'Rear');

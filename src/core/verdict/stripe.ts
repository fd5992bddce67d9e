import type { Check, State } from './engine/check';
import { type Segment, SEGMENTS } from './engine/segments';
import { byUrgency } from './states';

/** What a segment of the stripe shows. */
export interface SegmentState {
  readonly segment: Segment;
  readonly state: State;
  /** The tightest check; none where nothing is worked out yet. */
  readonly check?: Check;
  /** What a segment without a result needs. */
  readonly needs: readonly string[];
}

/** What the segments without checks will stand on. */
const WILL_NEED: Readonly<Partial<Record<Segment, readonly string[]>>> = {
  parts: ['parts.items:loads'],
};

/** One state for each segment: its worst check; unknown where none could be worked out. */
export function stripeOf(checks: readonly Check[]): SegmentState[] {
  return SEGMENTS.map((segment) => {
    const own = checks.filter((check) => check.segment === segment);
    const worked = own.filter(({ state }) => state !== 'unknown');
    if (worked.length === 0) {
      const needs = [...new Set(own.flatMap(({ missing }) => missing))];
      return { segment, state: 'unknown', needs: needs.length > 0 ? needs : (WILL_NEED[segment] ?? []) };
    }
    const worst = [...own].sort(byUrgency)[0]!;
    return { segment, state: worst.state, check: worst, needs: worst.missing };
  });
}

import type { Shared } from '../engine/check';

/** What parts, links and groups of screws are judged by alike: force against what holds it, on the side of the few figures. */
export const JUDGED_ON_PARTS = {
  at: { segment: 'parts', side: 'few' },
  heavy: true,
  quantity: 'forceN',
  kind: 'floor',
  tightUnder: 1.5,
  provenBy: { run: 'blows', how: 'clampAndHit' },
  supports: [],
} as const satisfies Omit<Shared, 'family'>;

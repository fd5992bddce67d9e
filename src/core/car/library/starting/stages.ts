import type { LibraryItem } from '../items';

/** Efficiency of one stage in good order. */
export const STARTING_STAGES: readonly LibraryItem<'stage'>[] = [
  { id: 'stage-spur', kind: 'stage', data: { name: 'Spur gears', kind: 'spur', efficiency: 0.95 } },
  {
    id: 'stage-internal',
    kind: 'stage',
    data: { name: 'Internal gears', kind: 'internal', efficiency: 0.96 },
  },
  { id: 'stage-bevel', kind: 'stage', data: { name: 'Bevel gears', kind: 'bevel', efficiency: 0.93 } },
  { id: 'stage-belt', kind: 'stage', data: { name: 'Belt', kind: 'belt', efficiency: 0.96 } },
  { id: 'stage-chain', kind: 'stage', data: { name: 'Chain', kind: 'chain', efficiency: 0.95 } },
  { id: 'stage-planetary', kind: 'stage', data: { name: 'Planetary', kind: 'planetary', efficiency: 0.94 } },
  { id: 'stage-direct', kind: 'stage', data: { name: 'Direct', kind: 'direct', efficiency: 1 } },
];

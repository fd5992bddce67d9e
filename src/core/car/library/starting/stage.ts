import type { StageAtHand } from '../kinds/stage';

/** Efficiency of one stage in good order. */
export const STARTING_STAGES: readonly { id: string; data: StageAtHand }[] = [
  { id: 'stage-spur', data: { name: 'Spur gears', kind: 'spur', efficiency: 0.95 } },
  {
    id: 'stage-internal',
    data: { name: 'Internal gears', kind: 'internal', efficiency: 0.96 },
  },
  { id: 'stage-bevel', data: { name: 'Bevel gears', kind: 'bevel', efficiency: 0.93 } },
  { id: 'stage-belt', data: { name: 'Belt', kind: 'belt', efficiency: 0.96 } },
  { id: 'stage-chain', data: { name: 'Chain', kind: 'chain', efficiency: 0.95 } },
  { id: 'stage-planetary', data: { name: 'Planetary', kind: 'planetary', efficiency: 0.94 } },
  {
    id: 'stage-differential',
    data: { name: 'Differential, its inside', kind: 'differential', efficiency: 0.99 },
  },
  { id: 'stage-direct', data: { name: 'Direct', kind: 'direct', efficiency: 1 } },
];

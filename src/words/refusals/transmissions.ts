import type { Refusals } from './refusals';

export const CHAIN_REFUSALS: Refusals<'chain'> = {
  'chain.order': ({ largeTeeth }) => [
    `must be ${largeTeeth} at most, the teeth of the large sprocket`,
    'give the smaller one first',
  ],
  'chain.oneForm': () => ['stands beside centreDistanceMm, or both are missing', 'give the one or the other'],
  'chain.odd': ({ below, above }) => ['must be even', `take ${below} or ${above}`],
  'chain.touch': ({ leastMm }) => [
    `lets the sprockets touch: their pitch circles meet at ${leastMm} between the centres`,
    'give more links or wider centres',
  ],
};

export const GEAR_SEARCH_REFUSALS: Refusals<'gearSearch'> = {
  'gearSearch.many': ({ combinations, most }) => [
    `makes ${combinations} combinations, at most ${most} are searched`,
    'leave gears out, or a stage',
  ],
};

export const OPENING_REFUSALS: Refusals<'opening'> = {
  'opening.mount': () => ['stands beside a beam, or both are missing', 'give the one or the other'],
};

export const HELICAL_REFUSALS: Refusals<'helical'> = {
  'helical.oneForm': () => [
    'stands beside centreDistanceMm, or both are missing',
    'give the one or the other',
  ],
  'helical.centre': ({ from, to }) => [`asks for a helix outside 0 to 45°`, `give ${from} to ${to}`],
  'helical.shift': () => ['must be 0 where the centres give the helix', 'leave it out, or give helixDeg'],
  'helical.teeth': ({ virtual }) => [
    `makes ${virtual} virtual teeth, under the 10 of the form factor`,
    'take more teeth or less helix',
  ],
};

export const BEARINGS_REFUSALS: Refusals<'bearings'> = {
  'bearings.order': () => [
    'must rise from the first to the second',
    'give the places along the axis in order',
  ],
};

import type { End } from '@/core/physics/heat/enduranceDefinition';

/** What ended the pack, as it stands over the chart. */
export const END_NAMES: Readonly<Record<End, string>> = {
  battery: 'charge used',
  winding: 'winding too hot',
  case: 'case too hot',
  controller: 'controller too hot',
  time: 'still going',
  stalled: 'stands still',
};
/** After "runs 31 min": */
export const END_CLAUSES: Readonly<Record<End, string>> = {
  battery: 'until its charge is used',
  winding: 'until the winding is too hot',
  case: 'until the motor case is too hot for what holds it',
  controller: 'until the controller is too hot',
  time: 'and the pack is still not empty',
  stalled: 'until it no longer gets under way',
};

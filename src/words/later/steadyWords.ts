import { listed } from '../lists';
import type { Refusals } from '../refusals/refusals';
import type { Sentences } from '../write';

/** What balance and damping are noted for. */
export const STEADY_NOTES: Sentences<'note.steady'> = {
  'note.steady.unstable': ({ speed, doubling }) =>
    `At ${speed} the car does not stay straight${doubling ? `: a slip doubles in ${doubling}` : ''}.`,
  'note.steady.noGripLeft': ({ end }) =>
    `Drive or brake takes all the grip of the ${end} axle: none is left for steering.`,
  'note.steady.light': ({ end, load, ofWeight }) =>
    `The ${end} axle carries ${load}, ${ofWeight} of its weight at rest.`,
  'note.steady.rearFirst': ({ lateral }) =>
    `In a bend the rear slides first, at ${lateral} across: the car spins where it could have run wide.`,
  'note.steady.unstableSoon': ({ speed, from }) =>
    `Steady at ${speed}, no longer from ${from} on: less than a third above it.`,
  'note.steady.oneTyre': () =>
    'Each axle counts as one tyre: load that moves across it in a bend is in a stiffness measured on the car, and nowhere else.',
  'note.steady.neverLight': ({ ends, searched }) =>
    `No speed up to ${searched} makes the ${listed(ends)} axle light.`,
  'note.steady.alwaysStable': ({ searched }) => `Steady at every speed up to ${searched}.`,
  'note.steady.noTurn': () => 'Nothing steers or nothing holds the rear: the car has no steady turn there.',
};

/** What balance and damping refuse. */
export const STEADY_REFUSALS: Refusals<'steady'> = {
  'steady.notAllDriven': () => ['is of a car driven at all wheels', 'leave it out, or drive all axles'],
  'steady.noCentre': () => [
    'is needed where the air pushes from the side',
    'give where the side force acts, from the front axle, forward positive',
  ],
  'steady.sweepBackward': () => ['is under the speed that the sweep starts at', 'give the higher speed last'],
  'steady.sweepRows': ({ most }) => [`makes more than ${most} rows`, 'take longer steps'],
  'steady.oneChange': () => [
    'is not the one change of its row',
    'change one thing a row: a tyre, the weight or the rear wing',
  ],
  'steady.twice': ({ id }) => [`“${id}” stands there twice`, 'give each change a name of its own'],
  'steady.weightOutside': () => ['puts the weight beyond an axle', 'shift it less'],
  'steady.noRearWing': () => [
    'is needed for a change of its angle',
    'say where the rear wing stands and what a degree of it presses',
  ],
};

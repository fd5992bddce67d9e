import type { PosePlace } from '@/core/physics/clearance/check';
import type { Refusals } from '../refusals/refusals';
import type { Sentences } from '../write';

type Place<T> = T extends { travel: infer _ } ? { travel: string; rack?: string } : T;

/** Where bodies stood when they came nearest. */
export const atPlace = (at: Place<PosePlace>): string =>
  'name' in at
    ? `in the pose “${at.name}”`
    : `at ${at.travel} of travel${at.rack ? ` and ${at.rack} of rack` : ''}`;

export const CLEARANCE_REFUSALS: Refusals<'clearance'> = {
  'clearance.twice': ({ id }) => [`“${id}” stands there twice`, 'give each shape a name of its own'],
  'clearance.unknown': ({ id }) => [`“${id}” is no shape here`, 'name two that are given'],
  'clearance.flat': () => ['lie in one plane', 'give a point off it, or a mesh'],
  'clearance.noCar': () => [
    'has nothing of the car that stands over it: every shape moves',
    'leave body out of one shape, or leave ground out',
  ],
  'clearance.noCorner': ({ points }) => [
    `points at a corner that is not there: there are ${points}, counted from 0`,
    'give three of them',
  ],
  'clearance.posesAndCorner': () => ['stand beside a corner, which makes its own', 'give one of both'],
  'clearance.noBody': ({ name }) => [`moves “${name}”, on which nothing sits`, 'name the body of a shape'],
  'clearance.noAxis': () => ['has no length', 'give a direction to turn about'],
};

export const CLEARANCE_NOTES: Sentences<'note.clearance'> = {
  'note.clearance.touches': ({ a, b, at, deep }) =>
    `${a} meets ${b} ${atPlace(at)}${deep === undefined ? '' : `, ${deep} deep`}.`,
  'note.clearance.near': ({ a, b, at, apart, wanted }) =>
    `${a} comes within ${apart} of ${b} ${atPlace(at)}; ${wanted} is wanted.`,
};

import type { GarageCar } from '@/core/advice/garage';
import type { State } from '@/core/verdict/engine/check';

export const GARAGE_SORTS = ['oldest', 'newest', 'name', 'speed', 'worst'] as const;
export type GarageSort = (typeof GARAGE_SORTS)[number];

const URGENCY: Readonly<Record<State, number>> = { over: 0, tight: 1, unknown: 2, clear: 3 };

const speedOf = ({ measured, predictedMps }: GarageCar) => measured?.speedMps ?? predictedMps ?? -1;
const urgencyOf = ({ ails, tightest }: GarageCar) =>
  ails !== undefined ? -1 : tightest ? URGENCY[tightest.state] : 4;

const ORDER: Readonly<Record<GarageSort, (a: GarageCar, b: GarageCar) => number>> = {
  oldest: () => 0,
  newest: () => 0,
  name: (a, b) => a.name.localeCompare(b.name, undefined, { numeric: true }),
  speed: (a, b) => speedOf(b) - speedOf(a),
  worst: (a, b) =>
    urgencyOf(a) - urgencyOf(b) || (a.tightest?.margin ?? Infinity) - (b.tightest?.margin ?? Infinity),
};

const plain = (text: string) => text.toLowerCase().normalize('NFD').replace(/\p{M}/gu, '');

/** Cars in whose name every word stands, in the order wished; they come as they were begun. */
export function foundCars(cars: readonly GarageCar[], text: string, sort: GarageSort): GarageCar[] {
  const words = plain(text).split(/\s+/).filter(Boolean);
  return (sort === 'newest' ? cars.toReversed() : cars)
    .filter(({ name }) => words.every((word) => plain(name).includes(word)))
    .sort(ORDER[sort]);
}

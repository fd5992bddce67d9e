import type { SaidThing } from '@/core/worked/space/said';
import type { LinkThing } from '@/core/worked/space/thingsOfCar';

const LINK_THING_TERMS: Readonly<Record<LinkThing, string>> = {
  lower: 'lower arm',
  upper: 'upper link',
  upright: 'upright',
  tie: 'tie rod',
  damper: 'damper',
  damperRod: 'damper rod',
  wheel: 'tyre',
};

/** A thing of the car inside a sentence. */
export const thingWords = (thing: SaidThing): string =>
  'name' in thing
    ? thing.name.charAt(0).toLowerCase() + thing.name.slice(1)
    : `${thing.end} ${LINK_THING_TERMS[thing.thing]}`;

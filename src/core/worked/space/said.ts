import type { End } from '../../car/document/suspension';
import type { LinkThing, Thing } from './thingsOfCar';

/** A thing as a sentence names it: a component by its own name, the rest by where it is. */
export type SaidThing = { name: string } | { thing: LinkThing; end: End };

export const saidThing = ({ name, of, id }: Pick<Thing, 'name' | 'of' | 'id'>): SaidThing =>
  of ? { thing: of.thing, end: of.end } : { name: name ?? id };

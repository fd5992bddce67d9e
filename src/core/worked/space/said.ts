import type { End } from '../../car/document/suspension';
import type { LinkThing, Thing } from './thingsOfCar';

/** A thing as a sentence names it: a component by its own name, the rest by where it is. */
export type SaidThing =
  | { name: string }
  | { thing: LinkThing; end: End }
  | { wire: { from: string; to: string } }
  | { shell: true };

export const saidThing = ({
  name,
  of,
  id,
  wire,
  shell,
}: Pick<Thing, 'name' | 'of' | 'id' | 'wire' | 'shell'>): SaidThing => {
  if (of) return { thing: of.thing, end: of.end };
  if (wire) return { wire: { from: wire.fromName, to: wire.toName } };
  return shell ? { shell } : { name: name ?? id };
};
